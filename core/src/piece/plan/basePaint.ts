import type { Plan } from './plan.ts';

/**
 * The plan with another paint in an area of its base. A flood is poured from the base: where it poured the paint that no
 * area has any more, it pours the new one.
 *
 * @param index the area, from 0; without such an area the plan stays as it is
 */
export function withBasePaint(plan: Plan, index: number, cupId: string): Plan {
  const before = plan.base?.areas[index]?.cupId;
  if (!plan.base || before === undefined) return plan;
  const areas = plan.base.areas.map((area, at) => (at === index ? { ...area, cupId } : area));
  const base = { ...plan.base, areas };
  if (areas.some((area) => area.cupId === before)) return { ...plan, base };
  const paths = plan.paths.map((path) =>
    path.kind === 'flood'
      ? {
          ...path,
          layers: path.layers.map((layer) => (layer.cupId === before ? { ...layer, cupId } : layer)),
        }
      : path,
  );
  return { ...plan, base, paths };
}
