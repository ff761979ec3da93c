import type { Plan } from '../plan/index.ts';
import type { RunStep } from './runSheet.ts';
import type { LaidShape } from './shape.ts';

/** Where a step of the run sheet lays its paint; null for a step that lays none, or one the plan does not have. */
export function shapeOfStep(plan: Plan, step: RunStep): LaidShape | null {
  if (step.kind !== 'lay') return null;
  const { itemId } = step;
  if (itemId === null) {
    if (!plan.base) return null;
    return { kind: 'face', pattern: plan.base.pattern, area: step.number - 1, seam: plan.base.seam };
  }
  const stack = plan.stacks.find(({ id }) => id === itemId);
  if (stack) return { kind: 'stack', itemId, at: stack.at, footprintMm: stack.footprintMm };
  const path = plan.paths.find(({ id }) => id === itemId);
  if (!path) return null;
  const { kind, start, control, end } = path;
  return { kind, itemId, start, control, end };
}
