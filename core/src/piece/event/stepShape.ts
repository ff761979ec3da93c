import type { Plan } from '../plan/index.ts';
import type { RunStep } from './runSheet.ts';
import type { SupportSize } from '../support/index.ts';
import type { LaidShape } from './shape.ts';

/** Where a step of the run sheet lays its paint; null for a step that lays none, or one the plan does not have. */
export function shapeOfStep(plan: Plan, step: RunStep, support: SupportSize): LaidShape | null {
  if (step.kind === 'relay') {
    const { at, radiusMm } = step.mark;
    return {
      kind: 'stack',
      itemId: step.id.replace(/:lay:.*/, ''),
      at: { x: at.x * support.widthMm, y: at.y * support.heightMm },
      footprintMm: 2 * radiusMm,
    };
  }
  if (step.kind !== 'lay') return null;
  const { itemId } = step;
  if (itemId === null) {
    if (!plan.base) return null;
    return { kind: 'face', pattern: plan.base.pattern, area: step.number - 1, seam: plan.base.seam };
  }
  const stack = plan.stacks.find(({ id }) => id === itemId);
  if (stack) {
    const { at, footprintMm, way } = stack;
    return { kind: 'stack', itemId, at, footprintMm, ...(way && { way }) };
  }
  const path = plan.paths.find(({ id }) => id === itemId);
  if (!path) return null;
  const { kind, start, control, end, moment } = path;
  return { kind, itemId, start, control, end, ...(moment && { moment }) };
}
