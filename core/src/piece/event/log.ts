import { dataOf, type LoggedEvent } from './event.ts';

/**
 * The events that stand: without those that were taken back, without the taking back itself, and each correction in
 * the place of what it corrects. Taking a correction back brings back what stood there before.
 *
 * @param log the whole log in the order it was written
 */
export function inForce<Event extends LoggedEvent>(log: readonly Event[]): Event[] {
  const struck = new Set(dataOf(log, 'void').map(({ eventId }) => eventId));
  const kept = log.filter((event) => event.kind !== 'void' && !struck.has(event.id));
  const ids = new Set(log.map((event) => event.id));
  const correctionOf = new Map<string, Event>();
  for (const event of kept) if (event.insteadOf !== undefined) correctionOf.set(event.insteadOf, event);
  const newest = (event: Event): Event => {
    const correction = correctionOf.get(event.id);
    return correction ? newest(correction) : event;
  };
  return kept.filter(({ insteadOf }) => insteadOf === undefined || !ids.has(insteadOf)).map(newest);
}

/** What the log would be without one event that stands, for asking what may stand in its place. */
export function logWithout<Event extends LoggedEvent>(
  log: readonly Event[],
  eventId: string | undefined,
): Event[] {
  return inForce(log).filter((event) => event.id !== eventId);
}

/** Whole milligrams of one cup that the standing events laid on the support. */
export function laidMgOf(log: readonly LoggedEvent[], cupId: string): number {
  return dataOf(inForce(log), 'layer')
    .filter((layer) => layer.cupId === cupId)
    .reduce((sum, { mg }) => sum + mg, 0);
}
