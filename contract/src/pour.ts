import { AIR_TOOL_NAMES } from '@icy-ribbon/core/air';
import { z } from 'zod';
import { idSchema, massMgSchema, timestampSchema } from './common.ts';

/** A cup, or part of one, laid on the support. */
export const layerDataSchema = z.object({
  mixId: idSchema,
  mg: massMgSchema.min(1, 'Lay down more than 0 g.'),
});

const shareOfFace = z.number().min(0).max(1);

/** One blowing pass. */
export const passDataSchema = z.object({
  tool: z.enum(AIR_TOOL_NAMES, 'Choose the tool.'),
  setting: z.string().trim().min(1, 'Say how it was set.').max(40),
  distanceMm: z
    .number('Give the distance.')
    .min(5, 'The distance is at least 0.5 cm.')
    .max(3000, 'The distance is at most 3 m.'),
  /** From the surface: 90 is straight down. */
  slantDeg: z
    .number('Give the slant.')
    .min(5, 'The slant lies between 5 and 90 degrees.')
    .max(90, 'The slant lies between 5 and 90 degrees: 90 is straight down.'),
  /** Clockwise from the top edge of the support. */
  directionDeg: z.number().min(0).lt(360),
  seconds: z
    .number('Give the seconds.')
    .positive('Give the seconds, above 0.')
    .max(600, 'A pass lasts at most 10 minutes.'),
  /** Where it began, as shares of the face from its top left; left out when not drawn. */
  from: z.object({ x: shareOfFace, y: shareOfFace }).nullable(),
});

export const roomDataSchema = z.object({
  temperatureC: z.number().min(-10, 'Too cold to pour.').max(50, 'Too hot to pour.'),
  humidityPercent: z.number().min(0).max(100, 'Humidity is a percentage.').nullable(),
});

const envelope = { id: idSchema, at: timestampSchema };

/**
 * The log of a pour. Append-only: taking something back is an event of its own, and sending the same
 * event twice changes nothing because its id was made by the client.
 */
export const pourEventSchema = z.discriminatedUnion('kind', [
  z.object({ ...envelope, kind: z.literal('layer'), data: layerDataSchema }),
  z.object({ ...envelope, kind: z.literal('pass'), data: passDataSchema }),
  z.object({ ...envelope, kind: z.literal('room'), data: roomDataSchema }),
  z.object({ ...envelope, kind: z.literal('void'), data: z.object({ eventId: idSchema }) }),
]);

export type PourEvent = z.output<typeof pourEventSchema>;
export type LayerEvent = Extract<PourEvent, { kind: 'layer' }>;
export type PassEvent = Extract<PourEvent, { kind: 'pass' }>;
export type RoomEvent = Extract<PourEvent, { kind: 'room' }>;
export type PassData = z.output<typeof passDataSchema>;
