import type { LoggedEvent } from '@icy-ribbon/core/piece/event';
import {
  airShape,
  BASE_PATTERNS,
  FLOOD_MOMENTS,
  MOST_LAYER_G,
  PATH_KINDS,
  runSeconds,
  spinRpm,
  STACK_WAYS,
  tiltDeg,
} from '@icy-ribbon/core/piece/plan';
import { z } from 'zod';
import { idSchema, timestampSchema, nameSchema } from './common.ts';
import { pouredPlanSchema } from './plan.ts';

const shareOfFace = z.number().min(0).max(1);
const placeSchema = z.object({ x: shareOfFace, y: shareOfFace });
/** The step of the run sheet that an event carries out. */
const stepIdSchema = z.string().max(200).optional();

const mmSchema = z.number().min(-10_000).max(20_000);
const spotSchema = z.object({ x: mmSchema, y: mmSchema });
const curveSchema = { start: spotSchema, control: spotSchema, end: spotSchema };
const itemIdSchema = z.string().min(1).max(80);

/** Where paint was laid and how it lies, mm from the top left of the face. */
const laidShapeSchema = z.discriminatedUnion('kind', [
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
const layerDataSchema = z.object({
  cupId: idSchema,
  mg: layerMgSchema,
  /** "add" when it came on after the first air: base or color pushed in. */
  moment: z.enum(['lay', 'add']).optional(),
  /** Where, as shares of the face from its top left. */
  at: placeSchema.nullish(),
  shape: laidShapeSchema.nullish(),
  stepId: stepIdSchema,
});

const settingSchema = airShape.setting.min(1, 'Say how it was set.');

/** One blowing pass. */
const passDataSchema = z.object({
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
  from: placeSchema.nullable(),
  end: airShape.end.unwrap().unwrap().extend({ setting: settingSchema }).nullish(),
  stepId: stepIdSchema,
});

const roomDataSchema = z.object({
  temperatureC: z.number().min(-10, 'Too cold to pour.').max(50, 'Too hot to pour.'),
  humidityPercent: z.number().min(0).max(100, 'Humidity is a percentage.').nullable(),
  /** Told by a stand-in for a device that is not there. */
  standIn: z.boolean().optional(),
});

const secondsSchema = (most: number) =>
  z
    .number('Give the seconds.')
    .min(0, 'Give the seconds, 0 or more.')
    .max(most, 'That is too long: give seconds.');
const where = { at: placeSchema.nullish(), stepId: stepIdSchema };
const says = z.string().trim().max(2000, 'A note has at most 2000 characters.').default('');

const torchDataSchema = z.object({ seconds: secondsSchema(600).nullable(), ...where });
const waitDataSchema = z.object({
  seconds: secondsSchema(86_400),
  forWhat: says,
  stepId: stepIdSchema,
});
const spinDataSchema = z.object({
  rpm: spinRpm.positive('Enter more than 0 turns a minute.'),
  seconds: runSeconds,
  way: z.enum(['clockwise', 'counterclockwise', 'both']),
  stepId: stepIdSchema,
});
const tiltDataSchema = z.object({
  directionDeg: airShape.directionDeg,
  seconds: runSeconds.nullable(),
  stepId: stepIdSchema,
});
const spotMarkSchema = z.object({
  kind: z.literal('spot'),
  at: placeSchema,
  radiusMm: z
    .number('Give the radius.')
    .min(1, 'A place is at least 1 mm wide.')
    .max(5000, 'A place is at most 5 m wide.'),
});
/** What of the face was touched: around a spot, or along a stroke. */
const markSchema = z.discriminatedUnion('kind', [
  spotMarkSchema,
  z.object({ kind: z.literal('stroke'), from: placeSchema, to: placeSchema }),
]);

/** Scraped off, broken up with a straw, drawn with a skewer or a card. */
const touchDataSchema = z.object({ note: says, mark: markSchema.nullish(), ...where });
const liftDataSchema = z.object({ note: says, ...where });
const blowTestDataSchema = z.object({ moves: z.boolean(), runsOver: z.boolean(), stepId: stepIdSchema });
const tipTestDataSchema = z.object({
  tiltDeg,
  moves: z.boolean(),
  stepId: stepIdSchema,
});
const MOST_REPAIR_LAYERS = 40;
const repairDataSchema = z.object({
  mark: spotMarkSchema,
  layers: z
    .array(z.object({ cupId: idSchema, mg: layerMgSchema }))
    .max(MOST_REPAIR_LAYERS, `A repair lays at most ${MOST_REPAIR_LAYERS} layers.`),
  directionDeg: airShape.directionDeg,
  note: says,
});
const noteDataSchema = z.object({ text: z.string().trim().min(1, 'Write something.').max(2000) });
const photoDataSchema = z.object({ photoId: idSchema.nullable(), note: says });
/** A step of the plan that was seen to without paint or air, or left out. */
const stepDataSchema = z.object({
  stepId: z.string().min(1).max(200),
  outcome: z.enum(['done', 'skipped']),
  note: says,
});

const envelope = {
  id: idSchema,
  at: timestampSchema,
  /** The event that this one corrects: of the same kind, and in its place from then on. */
  insteadOf: idSchema.optional(),
};

/**
 * The log of a pour. Append-only: taking something back is an event of its own, a correction is an event that names
 * the one it corrects, and sending the same event twice changes nothing because its id was made by the client.
 */
export const pourEventSchema = z.discriminatedUnion('kind', [
  z.object({ ...envelope, kind: z.literal('layer'), data: layerDataSchema }),
  z.object({ ...envelope, kind: z.literal('pass'), data: passDataSchema }),
  z.object({ ...envelope, kind: z.literal('room'), data: roomDataSchema }),
  z.object({ ...envelope, kind: z.literal('torch'), data: torchDataSchema }),
  z.object({ ...envelope, kind: z.literal('wait'), data: waitDataSchema }),
  z.object({ ...envelope, kind: z.literal('spin'), data: spinDataSchema }),
  z.object({ ...envelope, kind: z.literal('tilt'), data: tiltDataSchema }),
  z.object({ ...envelope, kind: z.literal('scrape'), data: touchDataSchema }),
  z.object({ ...envelope, kind: z.literal('straw'), data: touchDataSchema }),
  z.object({ ...envelope, kind: z.literal('skewer'), data: touchDataSchema }),
  z.object({ ...envelope, kind: z.literal('card'), data: touchDataSchema }),
  z.object({ ...envelope, kind: z.literal('lift'), data: liftDataSchema }),
  z.object({ ...envelope, kind: z.literal('blow-test'), data: blowTestDataSchema }),
  z.object({ ...envelope, kind: z.literal('tip-test'), data: tipTestDataSchema }),
  z.object({ ...envelope, kind: z.literal('repair'), data: repairDataSchema }),
  z.object({ ...envelope, kind: z.literal('note'), data: noteDataSchema }),
  z.object({ ...envelope, kind: z.literal('photo'), data: photoDataSchema }),
  z.object({ ...envelope, kind: z.literal('step'), data: stepDataSchema }),
  /** The plan as it was when the pour began; it is what the pour is compared with. */
  z.object({ ...envelope, kind: z.literal('plan'), data: pouredPlanSchema }),
  z.object({ ...envelope, kind: z.literal('void'), data: z.object({ eventId: idSchema }) }),
]) satisfies z.ZodType<LoggedEvent>;

export type PourEvent = z.output<typeof pourEventSchema>;
export type LayerEvent = Extract<PourEvent, { kind: 'layer' }>;
export type PassEvent = Extract<PourEvent, { kind: 'pass' }>;
export type RoomEvent = Extract<PourEvent, { kind: 'room' }>;
export type PourEventKind = PourEvent['kind'];
export type EventOf<Kind extends PourEventKind> = Extract<PourEvent, { kind: Kind }>;
export type PassData = z.output<typeof passDataSchema>;
