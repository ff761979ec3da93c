import { z } from 'zod';
import { airShape, MOST_LAYER_G, runSeconds, spinRpm, tiltDeg } from './act.ts';
import { BASE_PATTERNS, FLOOD_MOMENTS, PATH_KINDS, SPREADERS, STACK_WAYS, USUAL_SETTINGS } from './ways.ts';

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
  /** Null: as much as it takes (pillow and activator only). */
  massG: z
    .number('Give grams, or null for as much as it takes.')
    .positive('Grams must be above 0.')
    .max(MOST_LAYER_G, 'A layer is at most 50 kg.')
    .nullable(),
});

const planStackSchema = z.strictObject({
  id,
  at: placeSchema,
  /** Diameter the flower shall reach once it is blown out. */
  footprintMm: z
    .number('Give the footprint in mm.')
    .min(5, 'A flower is at least 5 mm wide.')
    .max(5000, 'A flower is at most 5 m wide.'),
  /** Left out: puddles. */
  way: z.enum(STACK_WAYS).optional(),
  layers: z.array(planLayerSchema).max(100, 'A stack has at most 100 layers.'),
});

const curve = { start: placeSchema, control: placeSchema, end: placeSchema };

const planPathSchema = z.strictObject({
  id,
  kind: z.enum(PATH_KINDS),
  ...curve,
  /** Of a flood; left out: before the colors. */
  moment: z.enum(FLOOD_MOMENTS).optional(),
  layers: z.array(planLayerSchema).max(100, 'A path has at most 100 colors.'),
});

const planPassSchema = z.strictObject({
  id,
  ...airShape,
  /** The blower on the shelf; null is the usual one of its kind. */
  blowerId: z.string().nullable().default(null),
  setting: airShape.setting.default(''),
  at: placeSchema,
});

const planBaseSchema = z.strictObject({
  pattern: z.enum(BASE_PATTERNS),
  /** One for "one", two for "split" (left of the seam first), two or three for "marbled". */
  areas: z
    .array(z.strictObject({ cupId: id, share: z.number().min(0).max(1) }))
    .min(1, 'Choose a base paint.')
    .max(3, 'A base has at most three paints.'),
  /** For "split" only. */
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
  /** Film that shall stay between the air's dent and the support, mm. */
  marginMm: z.number().min(0).max(20).default(USUAL_SETTINGS.marginMm),
  /** Thickness of the activator once blown out, mm. */
  sheetMm: z.number().positive().max(5).default(USUAL_SETTINGS.sheetMm),
  /** Kept back for repairs, as a share of what is laid. */
  reserveShare: share.default(USUAL_SETTINGS.reserveShare),
  /** Runs off the edges while blowing, tilting and spinning, as a share of what is laid. */
  dripShare: share.default(USUAL_SETTINGS.dripShare),
  /** What stays in a cup that is poured out, g. */
  cupLossG: z.number().min(0).max(200).default(USUAL_SETTINGS.cupLossG),
  /** Pieces or tiles poured alike in one go. */
  copies: z.int('Pieces are whole.').min(1, 'At least one piece.').max(200).default(USUAL_SETTINGS.copies),
  /** From the last layer to the first pass, s. */
  standSeconds: z.number().min(1, 'At least 1 s.').max(36_000).default(USUAL_SETTINGS.standSeconds),
  /** From the last pass until it is left alone: the cells open, s. */
  waitSeconds: z.number().min(0).max(36_000).default(USUAL_SETTINGS.waitSeconds),
  /** Turns a minute on the spinner afterwards, and for how long in all; 0 is not spun. */
  spinRpm: spinRpm.default(USUAL_SETTINGS.spinRpm),
  spinSeconds: runSeconds.default(USUAL_SETTINGS.spinSeconds),
  /** In so many spins, both ways in turn, with a tip test between. */
  spinTimes: z
    .int('Spins are whole.')
    .min(1, 'At least one spin.')
    .max(20, 'At most 20 spins.')
    .default(USUAL_SETTINGS.spinTimes),
  spreadBy: z.enum(SPREADERS).default(USUAL_SETTINGS.spreadBy),
  /** The base is blown alone before a color lies on it. */
  blowTest: z.boolean().default(USUAL_SETTINGS.blowTest),
  /** Drawn over with a card instead of blown. */
  card: z.boolean().default(USUAL_SETTINGS.card),
  /** What is left in the middle is broken with a straw once the cells are open. */
  straw: z.boolean().default(USUAL_SETTINGS.straw),
  /** Petals are drawn with a skewer at the end. */
  skewer: z.boolean().default(USUAL_SETTINGS.skewer),
});

/** What is laid and blown; paints are named by id. */
export const planSchema = z.strictObject({
  base: planBaseSchema.nullable(),
  stacks: z.array(planStackSchema).max(200, 'At most 200 stacks.'),
  paths: z.array(planPathSchema).max(200, 'At most 200 lines.'),
  passes: z.array(planPassSchema).max(500, 'At most 500 passes.'),
  settings: planSettingsSchema,
});
