import type { Plan, PlanBase, PlanPaint } from './plan.ts';

/** Where the pillow of a bloom lies: under each flower, over the whole face, or nowhere. */
export const PILLOW_PLACES = ['flower', 'face', 'none'] as const;
export type PillowPlace = (typeof PILLOW_PLACES)[number];

/** A pillow over the whole face lies thinner than one under a flower, mm (common practice). */
const ON_FACE_MM = 1.5;

export const pillowOnFace = (cupId: string): PlanBase => ({
  pattern: 'one',
  areas: [{ cupId, share: 1 }],
  seam: null,
  film: { kind: 'thickness', mm: ON_FACE_MM },
});

/** Where the pillow of a plan lies now. */
export function pillowPlace(plan: Plan, paints: readonly PlanPaint[]): PillowPlace {
  const isPillow = (cupId: string) => paints.find(({ id }) => id === cupId)?.role === 'pillow';
  if (plan.base?.areas.some((area) => isPillow(area.cupId))) return 'face';
  return plan.stacks.some((stack) => stack.layers.some((layer) => isPillow(layer.cupId))) ? 'flower' : 'none';
}

/** The plan with its pillow laid somewhere else, or left out; a base of another paint gives way to it. */
export function withPillow(
  plan: Plan,
  place: PillowPlace,
  paints: readonly PlanPaint[],
  newId: () => string,
): Plan {
  const pillow = paints.find(({ role }) => role === 'pillow');
  if (!pillow) return plan;
  const isPillow = (cupId: string) => paints.find(({ id }) => id === cupId)?.role === 'pillow';
  const stacks = plan.stacks.map((stack) => {
    const rest = stack.layers.filter((layer) => !isPillow(layer.cupId));
    const under = place === 'flower' ? [{ id: newId(), cupId: pillow.id, massG: null }] : [];
    return { ...stack, layers: [...under, ...rest] };
  });
  const wasPillow = plan.base?.areas.some((area) => isPillow(area.cupId)) ?? false;
  const base = place === 'face' ? pillowOnFace(pillow.id) : wasPillow ? null : plan.base;
  return { ...plan, base, stacks };
}
