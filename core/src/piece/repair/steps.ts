import { inForce, stepStates, type LoggedEvent, type RunStep } from '../event/index.ts';

type RepairEvent = Extract<LoggedEvent, { readonly kind: 'repair' }>;

const prefix = (id: string): string => `repair:${id}:`;

/**
 * The repair that an event is a part of; null for one that is none.
 *
 * @returns the id of the event that began it
 */
export function repairIdOf(event: LoggedEvent): string | null {
  const stepId = 'stepId' in event.data ? event.data.stepId : undefined;
  return /^repair:([^:]+):/.exec(stepId ?? '')?.[1] ?? null;
}

/** Scrape it off, wipe the sides, fresh ground, the same colors in their first order, torch, air from a new angle. */
export function repairSteps({ id, data: { mark, layers, directionDeg } }: RepairEvent): RunStep[] {
  const step = prefix(id);
  return [
    { id: `${step}scrape`, kind: 'scrape', mark },
    { id: `${step}wipe`, kind: 'wipe' },
    ...layers.map(({ cupId, mg }, index): RunStep => ({
      id: `${step}lay:${index + 1}`,
      kind: 'relay',
      cupId,
      mg,
      mark,
      number: index + 1,
    })),
    { id: `${step}torch`, kind: 'torch' },
    { id: `${step}air`, kind: 'air-again', mark, directionDeg },
  ];
}

/** The repair that is being done: the last that was begun, while a step of it is open. */
export function openRepair(
  log: readonly LoggedEvent[],
): { readonly event: RepairEvent; readonly steps: RunStep[] } | null {
  const event = inForce(log).findLast((each): each is RepairEvent => each.kind === 'repair');
  if (!event) return null;
  const steps = repairSteps(event);
  const states = stepStates(steps, log);
  return steps.some(({ id }) => states.get(id) === 'open') ? { event, steps } : null;
}
