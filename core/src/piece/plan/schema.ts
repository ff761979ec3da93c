import { z } from 'zod';
import { LIMITS } from '../../paint/stage/index.ts';
import { airShape, MOST_LAYER_G, runSeconds, spinRpm, tiltDeg } from './act.ts';
import { BASE_PATTERNS, FLOOD_MOMENTS, PATH_KINDS, SPREADERS, STACK_WAYS } from './plan.ts';

/** Shapes of a plan as it is kept and as the calculation bench reads it; messages say what to change. */
const id = z.string().min(1, 'Give it an id.').max(80);
const mm = (what: string) =>
  z
    .number(`Give ${what} in mm.`)
    .min(-5000, `${what} lies too far off.`)
    .max(10_000, `${what} lies too far off.`);
const placeSchema = z.strictObject({ x: mm('x'), y: mm('y') });

const planLayerSchema = z.strictObject({
  id,
  cupId: id,
  massG: z
    .number('Give grams, or null for as much as it takes.')
    .positive('Grams must be above 0.')
    .max(MOST_LAYER_G, 'A layer is at most 50 kg.')
    .nullable(),
});

const planStackSchema = z.strictObject({
  id,
  at: placeSchema,
  footprintMm: z
    .number('Give the footprint in mm.')
    .min(5, 'A flower is at least 5 mm wide.')
    .max(5000, 'A flower is at most 5 m wide.'),
  way: z.enum(STACK_WAYS).optional(),
  layers: z.array(planLayerSchema).max(100, 'A stack has at most 100 layers.'),
});

const curve = { start: placeSchema, control: placeSchema, end: placeSchema };

const planPathSchema = z.strictObject({
  id,
  kind: z.enum(PATH_KINDS),
  ...curve,
  moment: z.enum(FLOOD_MOMENTS).optional(),
  layers: z.array(planLayerSchema).max(100, 'A path has at most 100 colors.'),
});

const planPassSchema = z.strictObject({
  id,
  ...airShape,
  blowerId: z.string().nullable().default(null),
  setting: airShape.setting.default(''),
  at: placeSchema,
});

const planBaseSchema = z.strictObject({
  pattern: z.enum(BASE_PATTERNS),
  areas: z
    .array(z.strictObject({ cupId: id, share: z.number().min(0).max(1) }))
    .min(1, 'Choose a base paint.')
    .max(3, 'A base has at most three paints.'),
  seam: z.strictObject(curve).nullable(),
  film: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('run-off'),
      tiltDeg,
      seconds: runSeconds.positive('Let it run longer than 0 s.'),
    }),
    z.strictObject({
      kind: z.literal('thickness'),
      mm: z.number().positive('The film is thicker than 0 mm.').max(20, 'The film is at most 20 mm.'),
    }),
  ]),
});

const share = z.number('Give a share between 0 and 1.').min(0, 'At least 0.').max(1, 'At most all of it.');

const planSettingsSchema = z.strictObject({
  marginMm: z.number().min(0).max(20).default(1),
  sheetMm: z.number().positive().max(5).default(LIMITS.sheetMm.aim),
  reserveShare: share.default(0.1),
  dripShare: share.default(0.15),
  cupLossG: z.number().min(0).max(200).default(3),
  copies: z.int('Pieces are whole.').min(1, 'At least one piece.').max(200).default(1),
  standSeconds: z.number().min(1, 'At least 1 s.').max(36_000).default(20),
  waitSeconds: z.number().min(0).max(36_000).default(120),
  spinRpm: spinRpm.default(0),
  spinSeconds: runSeconds.default(0),
  spinTimes: z.int('Spins are whole.').min(1, 'At least one spin.').max(20, 'At most 20 spins.').default(1),
  spreadBy: z.enum(SPREADERS).default('tilting'),
  blowTest: z.boolean().default(false),
  card: z.boolean().default(false),
  straw: z.boolean().default(false),
  skewer: z.boolean().default(false),
});

/** What is laid and blown; paints are named by id. */
export const planSchema = z.strictObject({
  base: planBaseSchema.nullable(),
  stacks: z.array(planStackSchema).max(200, 'At most 200 stacks.'),
  paths: z.array(planPathSchema).max(200, 'At most 200 lines.'),
  passes: z.array(planPassSchema).max(500, 'At most 500 passes.'),
  settings: planSettingsSchema,
});
