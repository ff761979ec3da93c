import { z } from 'zod';
import { idSchema, nameSchema, sayingSchema as says } from '../../base/field/index.ts';
import {
  airShape,
  BASE_PATTERNS,
  FLOOD_MOMENTS,
  MOST_LAYER_G,
  PATH_KINDS,
  planSchema,
  runSeconds,
  spinRpm,
  STACK_WAYS,
  tiltDeg,
} from '../plan/index.ts';

const shareOfFace = z.number().min(0).max(1);
export const facePlaceSchema = z.object({ x: shareOfFace, y: shareOfFace });
/** The step of the run sheet that an event carries out. */
const stepIdSchema = z.string().max(200).optional();

const mmSchema = z.number().min(-10_000).max(20_000);
const spotSchema = z.object({ x: mmSchema, y: mmSchema });
const curveSchema = { start: spotSchema, control: spotSchema, end: spotSchema };
const itemIdSchema = z.string().min(1).max(80);

/** Where paint was laid and how it lies, mm from the top left of the face. */
export const laidShapeSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('face'),
    pattern: z.enum(BASE_PATTERNS),
    area: z.int().min(0).max(10),
    seam: z.object(curveSchema).nullable(),
  }),
  z.object({
    kind: z.literal('stack'),
    itemId: itemIdSchema,
    at: spotSchema,
    footprintMm: z.number().min(1).max(10_000),
    way: z.enum(STACK_WAYS).optional(),
  }),
  z.object({
    kind: z.enum(PATH_KINDS),
    itemId: itemIdSchema,
    ...curveSchema,
    moment: z.enum(FLOOD_MOMENTS).optional(),
  }),
]);

const layerMgSchema = z
  .int('Weights are kept in whole milligrams.')
  .min(1, 'Lay down more than 0 g.')
  .max(1000 * MOST_LAYER_G, 'A layer is at most 50 kg.');

/** A cup, or part of one, laid on the support. */
const layerData = z.object({
  cupId: idSchema,
  mg: layerMgSchema,
  /** "add" when it came on after the first air: base or color pushed in. */
  moment: z.enum(['lay', 'add']).optional(),
  /** Where, as shares of the face from its top left. */
  at: facePlaceSchema.nullish(),
  shape: laidShapeSchema.nullish(),
  stepId: stepIdSchema,
});

const settingSchema = airShape.setting.min(1, 'Say how it was set.');

/** One blowing pass. */
const passData = z.object({
  ...airShape,
  setting: settingSchema,
  /** The very blower of the shelf, as it was then. */
  blower: z
    .object({
      id: idSchema,
      name: nameSchema,
      exitDiameterMm: z.number().positive().max(1000),
      exitSpeedMS: z.number().positive().max(400),
    })
    .nullish(),
  /** Where it began, as shares of the face from its top left; left out when not drawn. */
  from: facePlaceSchema.nullable(),
  end: airShape.end.unwrap().unwrap().extend({ setting: settingSchema }).nullish(),
  stepId: stepIdSchema,
});

const roomData = z.object({
  temperatureC: z.number().min(-10, 'Too cold to pour.').max(50, 'Too hot to pour.'),
  humidityPercent: z.number().min(0).max(100, 'Humidity is a percentage.').nullable(),
  /** Told by a stand-in for a device that is not there. */
  standIn: z.boolean().optional(),
});

const secondsSchema = (most: number) =>
  z.number('Enter the seconds.').min(0, 'Enter 0 s or more.').max(most, `Enter ${most} s at most.`);
const where = { at: facePlaceSchema.nullish(), stepId: stepIdSchema };

const torchData = z.object({ seconds: secondsSchema(600).nullable(), ...where });
const waitData = z.object({
  seconds: secondsSchema(86_400),
  forWhat: says,
  stepId: stepIdSchema,
});
const spinData = z.object({
  rpm: spinRpm.positive('Enter more than 0 turns a minute.'),
  seconds: runSeconds,
  way: z.enum(['clockwise', 'counterclockwise', 'both']),
  stepId: stepIdSchema,
});
const tiltData = z.object({
  directionDeg: airShape.directionDeg,
  seconds: runSeconds.nullable(),
  stepId: stepIdSchema,
});
const spotMarkSchema = z.object({
  kind: z.literal('spot'),
  at: facePlaceSchema,
  radiusMm: z
    .number('Enter the radius.')
    .min(1, 'A place is at least 1 mm wide.')
    .max(5000, 'A place is at most 5 m wide.'),
});
/** What of the face was touched: around a spot, or along a stroke. */
export const markSchema = z.discriminatedUnion('kind', [
  spotMarkSchema,
  z.object({ kind: z.literal('stroke'), from: facePlaceSchema, to: facePlaceSchema }),
]);

/** Scraped off, broken up with a straw, drawn with a skewer or a card. */
const touchData = z.object({ note: says, mark: markSchema.nullish(), ...where });
const MOST_REPAIR_LAYERS = 40;
const repairData = z.object({
  mark: spotMarkSchema,
  layers: z
    .array(z.object({ cupId: idSchema, mg: layerMgSchema }))
    .max(MOST_REPAIR_LAYERS, `A repair lays at most ${MOST_REPAIR_LAYERS} layers.`),
  directionDeg: airShape.directionDeg,
  note: says,
});
/** A test has an answer. */
const seen = z.boolean('Choose what you saw.');

/** Everything that can happen while a piece is poured, by its kind, with what is logged of it. */
export const EVENT_DATA = {
  layer: layerData,
  pass: passData,
  room: roomData,
  torch: torchData,
  wait: waitData,
  spin: spinData,
  tilt: tiltData,
  scrape: touchData,
  straw: touchData,
  skewer: touchData,
  /** Paint drawn over the others with a card. */
  card: touchData,
  /** A cup turned over on the support and lifted off. */
  lift: z.object({ note: says, ...where }),
  /** The base blown alone: whether it moves easily, whether paint still runs over the edge. */
  'blow-test': z.object({ moves: seen, runsOver: seen, stepId: stepIdSchema }),
  /** The support tipped by so much from level: whether the middle moves. */
  'tip-test': z.object({ tiltDeg, moves: seen, stepId: stepIdSchema }),
  repair: repairData,
  note: z.object({ text: z.string().trim().min(1, 'Write something.').max(2000) }),
  photo: z.object({ photoId: idSchema.nullable(), note: says }),
  /** A step of the plan that was seen to without paint or air, or left out. */
  step: z.object({
    stepId: z.string().min(1).max(200),
    outcome: z.enum(['done', 'skipped']),
    note: says,
  }),
  /** The plan as it was when the pour began; it is what the pour is compared with. */
  plan: planSchema,
  /** Takes back the event it names. */
  void: z.object({ eventId: idSchema }),
};
