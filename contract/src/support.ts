import { SUPPORT_KINDS, SUPPORT_SHAPES } from '@icy-ribbon/core/piece/support';
import { z } from 'zod';
import { idSchema, nameSchema, recordFields, versionSchema } from './common.ts';

const lengthMm = z
  .number('Give the length as a number.')
  .min(10, 'A support is at least 1 cm long.')
  .max(5000, 'A support is at most 5 m long.');

const sizing = {
  kind: z.enum(SUPPORT_KINDS, 'Choose what it is.').default('canvas'),
  shape: z.enum(SUPPORT_SHAPES, 'Choose rectangle or round.'),
  widthMm: lengthMm,
  heightMm: lengthMm,
  sideDepthMm: z
    .number('Give the side depth as a number.')
    .min(0, 'The side depth must be 0 or more.')
    .max(200, 'The side depth is at most 20 cm.'),
};

const roundIsRound = (support: { shape?: string; widthMm?: number; heightMm?: number }) =>
  support.shape !== 'round' || support.widthMm === support.heightMm;
const ROUND_MESSAGE = {
  path: ['heightMm'],
  error: 'A round support is as high as it is wide: give its diameter twice.',
};

export const supportSchema = z.object({ ...recordFields, name: nameSchema, ...sizing });

export const supportCreateSchema = z
  .object({ id: idSchema.optional(), name: nameSchema, ...sizing })
  .refine(roundIsRound, ROUND_MESSAGE);

export const supportUpdateSchema = z
  .object({ version: versionSchema, name: nameSchema, ...sizing })
  .refine(roundIsRound, ROUND_MESSAGE);

/** The support as it was when the piece was started. */
export const supportSnapshotSchema = z.object({
  supportId: idSchema,
  name: nameSchema,
  ...sizing,
});

export type Support = z.output<typeof supportSchema>;
export type SupportCreate = z.output<typeof supportCreateSchema>;
export type SupportUpdate = z.output<typeof supportUpdateSchema>;
export type SupportSnapshot = z.output<typeof supportSnapshotSchema>;
