/** The least a pour event must tell for the log to be read. */
export interface LoggedEvent {
  readonly id: string;
  readonly kind: string;
  readonly data: unknown;
}

/**
 * The events that stand: without those that were taken back, and without the taking back itself.
 *
 * @param log the whole log in the order it was written
 */
export function standing<Event extends LoggedEvent>(log: readonly Event[]): Event[] {
  const struck = new Set(
    log.filter((event) => event.kind === 'void').map((event) => (event.data as { eventId: string }).eventId),
  );
  return log.filter((event) => event.kind !== 'void' && !struck.has(event.id));
}

/** Whole milligrams of one cup that the standing events laid on the support. */
export function laidMgOf(log: readonly LoggedEvent[], mixId: string): number {
  return standing(log)
    .filter((event) => event.kind === 'layer')
    .map((event) => event.data as { mixId: string; mg: number })
    .filter((layer) => layer.mixId === mixId)
    .reduce((sum, layer) => sum + layer.mg, 0);
}
