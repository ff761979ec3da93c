import { z } from 'zod';
import { nameSchema } from '../../base/field/index.ts';
import { SUPPORT_KINDS, SUPPORT_SHAPES } from './kinds.ts';

const lengthMm = z
  .number('Enter the length.')
  .min(10, 'A support is at least 1 cm long.')
  .max(5000, 'A support is at most 5 m long.');

/** What a piece is poured on; as the piece keeps it for good. */
export const supportShape = {
  name: nameSchema,
  kind: z.enum(SUPPORT_KINDS, 'Choose what it is.').default('canvas'),
  shape: z.enum(SUPPORT_SHAPES, 'Choose rectangle or round.'),
  widthMm: lengthMm,
  heightMm: lengthMm,
  sideDepthMm: z
    .number('Enter the side depth.')
    .min(0, 'The side depth must be 0 or more.')
    .max(200, 'The side depth is at most 20 cm.'),
};

interface Round {
  readonly shape: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The same, where a round support is as high as it is wide. */
export const roundIsRound = <Schema extends z.ZodType<Round>>(schema: Schema): Schema =>
  schema.refine(({ shape, widthMm, heightMm }) => shape !== 'round' || widthMm === heightMm, {
    path: ['heightMm'],
    error: 'A round support is as high as it is wide: enter its diameter twice.',
  });
