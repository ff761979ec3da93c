import type { Plan, PlanPass } from '../plan/index.ts';
import type { LoggedEvent } from './event.ts';
import { inForce } from './log.ts';

/** One step of a pour, in the order of the work. */
export type RunStep = { readonly id: string } & (
  | { readonly kind: 'level' }
  | {
      readonly kind: 'lay';
      readonly paintId: string;
      readonly mg: number;
      readonly itemId: string | null;
      readonly number: number;
    }
  | { readonly kind: 'run-off'; readonly tiltDeg: number; readonly seconds: number }
  | { readonly kind: 'torch' }
  | { readonly kind: 'wait'; readonly seconds: number; readonly forWhat: string }
  | { readonly kind: 'pass'; readonly pass: PlanPass; readonly number: number }
  | { readonly kind: 'spin'; readonly rpm: number; readonly seconds: number }
  | { readonly kind: 'photo' }
);

/**
 * The plan as a list of steps to be done one by one.
 *
 * @param grams what a layer weighs, by item and layer; the base by its area's number
 */
export function runSheet(
  plan: Plan,
  grams: {
    readonly layer: (itemId: string, layerId: string) => number;
    readonly base: (area: number) => number;
  },
): RunStep[] {
  const steps: RunStep[] = [{ id: 'level', kind: 'level' }];
  plan.base?.areas.forEach((area, index) => {
    const mg = Math.round(1000 * grams.base(index));
    steps.push({
      id: `base:${index}`,
      kind: 'lay',
      paintId: area.paintId,
      mg,
      itemId: null,
      number: index + 1,
    });
  });
  const film = plan.base?.film;
  if (film?.kind === 'run-off') {
    steps.push({ id: 'run-off', kind: 'run-off', tiltDeg: film.tiltDeg, seconds: film.seconds });
  }
  const floods = plan.paths.filter((path) => path.kind === 'flood');
  const others = plan.paths.filter((path) => path.kind !== 'flood');
  for (const item of [...floods, ...others, ...plan.stacks]) {
    item.layers.forEach((layer, index) => {
      steps.push({
        id: `layer:${item.id}:${layer.id}`,
        kind: 'lay',
        paintId: layer.paintId,
        mg: Math.round(1000 * grams.layer(item.id, layer.id)),
        itemId: item.id,
        number: index + 1,
      });
    });
  }
  const { settings } = plan;
  if (steps.length > 1) steps.push({ id: 'torch', kind: 'torch' });
  if (plan.passes.length > 0 && settings.standSeconds > 0) {
    steps.push({ id: 'stand', kind: 'wait', seconds: settings.standSeconds, forWhat: 'the paint to settle' });
  }
  plan.passes.forEach((pass, index) =>
    steps.push({ id: `pass:${pass.id}`, kind: 'pass', pass, number: index + 1 }),
  );
  if (plan.passes.length > 0 && settings.waitSeconds > 0) {
    steps.push({ id: 'cells', kind: 'wait', seconds: settings.waitSeconds, forWhat: 'the cells to open' });
  }
  if (settings.spinRpm > 0 && settings.spinSeconds > 0) {
    steps.push({ id: 'spin', kind: 'spin', rpm: settings.spinRpm, seconds: settings.spinSeconds });
  }
  if (steps.length > 1) steps.push({ id: 'photo', kind: 'photo' });
  return steps;
}

export type StepState = 'done' | 'skipped' | 'open';

/** What became of each step, by the events that name it. */
export function stepStates(steps: readonly RunStep[], log: readonly LoggedEvent[]): Map<string, StepState> {
  const states = new Map<string, StepState>(steps.map((step) => [step.id, 'open']));
  for (const event of inForce(log)) {
    const stepId = 'stepId' in event.data ? event.data.stepId : undefined;
    const outcome = event.kind === 'step' ? event.data.outcome : 'done';
    if (stepId !== undefined && states.has(stepId)) states.set(stepId, outcome);
  }
  return states;
}

/** The first step that is neither done nor skipped. */
export function nextStep(steps: readonly RunStep[], log: readonly LoggedEvent[]): RunStep | undefined {
  const states = stepStates(steps, log);
  return steps.find((step) => states.get(step.id) === 'open');
}
