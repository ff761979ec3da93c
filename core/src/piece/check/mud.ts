import { mudOf, suggestOrder, type OrderLayer } from '../order/index.ts';
import type { PlanPaint } from '../plan/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import type { CheckInput, Finding } from './finding.ts';
import type { Fix } from './fix.ts';

export const mudFinding = (
  id: string,
  lower: PlanPaint,
  upper: PlanPaint,
  share: number,
  fix: Fix | null,
): Finding => ({
  id,
  level: 'look',
  code: 'mud',
  facts: { lower: lower.name, upper: upper.name, keptShare: 1 - share },
  fix,
});

/** Neighbors in a ribbon that go to mud. */
export function pathMud(input: CheckInput): Finding[] {
  const paint = (id: string) => input.paints.find((each) => each.id === id);
  return input.plan.paths
    .filter((path) => path.kind !== 'flood')
    .flatMap((path) => {
      const colors = path.layers.map((layer) => paint(layer.cupId)).filter((each) => each !== undefined);
      const layers = path.layers.flatMap((layer): OrderLayer[] => {
        const found = paint(layer.cupId);
        return found ? [{ id: layer.id, paint: found, massG: layer.massG ?? 0 }] : [];
      });
      const better = layers.length > 1 && layers.length <= 10 ? suggestOrder(input.technique, layers) : null;
      const fix: Fix | null =
        better && better.mended.length > 0 ? { kind: 'order', stackId: path.id, order: better.order } : null;
      return colors.slice(1).flatMap((upper, index): Finding[] => {
        const share = mudOf(colors[index]!.colorHex, upper.colorHex);
        if (share < LIMITS.neighborsLose.most) return [];
        return [mudFinding(`mud ${path.id} ${index}`, colors[index]!, upper, share, fix)];
      });
    });
}
