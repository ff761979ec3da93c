import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import type { EVENT_DATA } from './kinds.ts';

export type EventKind = keyof typeof EVENT_DATA;

/** What is logged of each kind of event: see its row in `kinds.ts`. */
export type EventData = { readonly [Kind in EventKind]: ReadonlyDeep<z.output<(typeof EVENT_DATA)[Kind]>> };

/** One blowing pass. */
export type PassData = EventData['pass'];

/** What is laid again where something was scraped off, whole milligrams, in its first order. */
export type RepairLayer = EventData['repair']['layers'][number];

/** One entry of the log of a pour. */
export type LoggedEvent<Kind extends EventKind = EventKind> = {
  [Each in Kind]: {
    readonly id: string;
    readonly kind: Each;
    readonly data: EventData[Each];
    /** The event that this one corrects, in whose place it stands. */
    readonly insteadOf?: string | undefined;
  };
}[Kind];

/**
 * The entries of one kind, in their order.
 *
 * @param events any entries, with whatever else they carry (a time, say)
 */
export function eventsOfKind<Event extends LoggedEvent, Kind extends EventKind>(
  events: readonly Event[],
  kind: Kind,
): Extract<Event, { kind: Kind }>[] {
  return events.filter((event): event is Extract<Event, { kind: Kind }> => event.kind === kind);
}

/** What was logged of one kind, in its order. */
export function dataOf<Kind extends EventKind>(
  events: readonly LoggedEvent[],
  kind: Kind,
): EventData[Kind][] {
  return events.filter((event) => event.kind === kind).map(({ data }) => data as EventData[Kind]);
}
