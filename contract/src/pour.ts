import { EVENT_DATA, type EventKind, type LoggedEvent } from '@icy-ribbon/core/piece/event';
import type { z } from 'zod';
import { idSchema, timestampSchema } from './common.ts';
import { logSchema } from './log.ts';
import { pouredPlanSchema } from './plan.ts';

/** A plan is logged with the cups that were only planned. */
const DATA = { ...EVENT_DATA, plan: pouredPlanSchema };

/**
 * The log of a pour. Append-only: taking something back is an event of its own, a correction is an event that names
 * the one it corrects, and sending the same event twice changes nothing because its id was made by the client.
 */
export const pourEventSchema = logSchema(DATA, {
  id: idSchema,
  at: timestampSchema,
  /** The event that this one corrects: of the same kind, and in its place from then on. */
  insteadOf: idSchema.optional(),
}) satisfies z.ZodType<LoggedEvent>;

export type PourEvent = z.output<typeof pourEventSchema>;
export type PourEventKind = EventKind;
export type EventOf<Kind extends EventKind> = Extract<PourEvent, { kind: Kind }>;
export type LayerEvent = EventOf<'layer'>;
export type PassEvent = EventOf<'pass'>;
export type RoomEvent = EventOf<'room'>;
export type PassData = PassEvent['data'];
