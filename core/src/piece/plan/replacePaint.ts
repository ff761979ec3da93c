import type { Plan, PlanLayer } from './plan.ts';

/** The plan with one paint poured wherever another one was: on the base, on every pile and along every line. */
export function replacePaint(plan: Plan, from: string, to: string): Plan {
  const named = <Named extends { readonly cupId: string }>(each: Named): Named =>
    each.cupId === from ? { ...each, cupId: to } : each;
  const within = <Item extends { readonly layers: readonly PlanLayer[] }>(item: Item): Item => ({
    ...item,
    layers: item.layers.map(named),
  });
  return {
    ...plan,
    base: plan.base && { ...plan.base, areas: plan.base.areas.map(named) },
    stacks: plan.stacks.map(within),
    paths: plan.paths.map(within),
  };
}
