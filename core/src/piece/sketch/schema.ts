import { z } from 'zod';
import { hexColorSchema, idSchema, nameSchema } from '../../base/field/index.ts';
import { MARK_KINDS } from './markKinds.ts';

const MOST_MARKS = 200;
const MOST_POINTS = 400;
const coordinate = z.number().min(-5000).max(10_000);
/** Paint as it shall lie on a dry piece; mm from the top left of its face. */
const sketchMarkSchema = z.object({
  id: idSchema,
  kind: z.enum(MARK_KINDS),
  /** The paint of the shelf. */
  materialId: idSchema,
  name: nameSchema,
  colorHex: hexColorSchema,
  points: z
    .array(z.tuple([coordinate, coordinate]))
    .min(1)
    .max(MOST_POINTS, `A mark has at most ${MOST_POINTS} points.`),
  /** Of a stroke. */
  widthMm: z.number().min(0.5, 'A brush is at least 0.5 mm wide.').max(1000, 'At most 1 m.'),
  /** It lies only where the measured photo shows this color; null: anywhere. */
  onlyOn: z.string().max(120).nullable(),
});

/** A try of a change, over the photo of the dry piece. */
export const sketchSchema = z.object({
  sketchId: idSchema,
  name: nameSchema,
  /** How thick the new paint shall lie. */
  filmMm: z
    .number('Give the film in mm.')
    .min(0.05, 'The film is at least 0.05 mm.')
    .max(20, 'The film is at most 20 mm.'),
  marks: z.array(sketchMarkSchema).max(MOST_MARKS, `A sketch has at most ${MOST_MARKS} marks.`),
  chosen: z.boolean(),
});
