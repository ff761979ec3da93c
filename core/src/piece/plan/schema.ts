import { z } from 'zod';
import { LIMITS } from '../../paint/stage/index.ts';
import { AIR_TOOL_NAMES } from '../../flow/air/tools.ts';
import { AIR_WAYS } from '../../flow/air/breath.ts';
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
  paintId: id,
  massG: z
    .number('Give grams, or null for as much as it takes.')
    .positive('Grams must be above 0.')
    .max(50_000, 'A layer is at most 50 kg.')
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

const distanceMm = z
  .number('Give the distance in mm.')
  .min(5, 'The distance is at least 0.5 cm.')
  .max(3000, 'The distance is at most 3 m.');

const planPassSchema = z.strictObject({
  id,
  tool: z.enum(AIR_TOOL_NAMES, 'Choose the tool.'),
  blowerId: z.string().nullable().default(null),
  setting: z.string().max(40).default(''),
  at: placeSchema,
  directionDeg: z.number('Give the direction in degrees.').min(0).lt(360, 'A direction lies below 360.'),
  distanceMm,
  slantDeg: z
    .number('Give the slant in degrees.')
    .min(5, 'The slant lies between 5 and 90 degrees.')
    .max(90, 'The slant lies between 5 and 90 degrees: 90 is straight down.'),
  seconds: z
    .number('Give the seconds.')
    .positive('Give the seconds, above 0.')
    .max(600, 'A pass lasts at most 10 minutes.'),
  end: z.strictObject({ distanceMm, setting: z.string().max(40) }).nullish(),
  way: z.enum(AIR_WAYS).optional(),
});

const planBaseSchema = z.strictObject({
  pattern: z.enum(BASE_PATTERNS),
  areas: z
    .array(z.strictObject({ paintId: id, share: z.number().min(0).max(1) }))
    .min(1, 'Choose a base paint.')
    .max(3, 'A base has at most three paints.'),
  seam: z.strictObject(curve).nullable(),
  film: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('run-off'),
      tiltDeg: z.number().positive('Tilt it more than 0 degrees.').max(90, 'Tilt it at most 90 degrees.'),
      seconds: z.number().positive('Let it run longer than 0 s.').max(3600, 'Let it run at most an hour.'),
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
  spinRpm: z.number().min(0).max(600, 'Spin at most 600 turns a minute.').default(0),
  spinSeconds: z.number().min(0).max(3600, 'Spin at most an hour.').default(0),
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
