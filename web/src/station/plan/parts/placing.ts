import {
  bentThrough,
  stackAt,
  usualPass,
  type Place,
  type Plan,
  type PlanPaint,
  type PlanPath,
} from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import type { Technique } from '@icy-ribbon/core/paint/stage';

/** What the next press on the support puts down there. */
export type Placing = 'stack' | 'ribbon' | 'crescent' | 'flood' | 'pass';

export interface PlaceParts {
  readonly support: SupportSize;
  readonly technique: Technique;
  readonly paints: readonly PlanPaint[];
  readonly newId: () => string;
}

const LONG_SHARE = 0.45;
const STACK_SHARE = 0.4;
const PASS_SECONDS = 3;

/** Puts something usual of its kind down at a place; @returns the plan and what was put down */
export function putDown(
  plan: Plan,
  kind: Placing,
  at: Place,
  parts: PlaceParts,
): { readonly plan: Plan; readonly id: string } {
  const { support } = parts;
  const span = Math.min(support.widthMm, support.heightMm);
  if (kind === 'stack') {
    const stack = stackAt(parts, at, Math.round(STACK_SHARE * span));
    return { plan: { ...plan, stacks: [...plan.stacks, stack] }, id: stack.id };
  }
  if (kind === 'pass') {
    const last = plan.passes.at(-1);
    const outward = (Math.atan2(at.x - support.widthMm / 2, support.heightMm / 2 - at.y) * 180) / Math.PI;
    const fresh = usualPass(parts.newId(), last?.tool ?? 'mouth', at, outward, PASS_SECONDS);
    const pass = last ? { ...last, id: fresh.id, at, directionDeg: fresh.directionDeg } : fresh;
    return { plan: { ...plan, passes: [...plan.passes, pass] }, id: pass.id };
  }
  const path = pathAt(kind, at, span, parts);
  const paths = kind === 'flood' ? [path, ...plan.paths] : [...plan.paths, path];
  return { plan: { ...plan, paths }, id: path.id };
}

function pathAt(kind: PlanPath['kind'], at: Place, span: number, { paints, newId }: PlaceParts): PlanPath {
  const half = (LONG_SHARE * span) / 2;
  const ends = { start: { x: at.x - half, y: at.y }, end: { x: at.x + half, y: at.y } };
  const middle = kind === 'crescent' ? { x: at.x, y: at.y - half * 0.6 } : at;
  const laid = paints.filter((paint) =>
    kind === 'flood' ? paint.role === 'base' : paint.role === 'color' || paint.role === 'swipe',
  );
  return {
    id: newId(),
    kind,
    ...ends,
    control: bentThrough(ends, middle),
    layers: laid.slice(0, kind === 'flood' ? 1 : undefined).map((paint) => ({
      id: newId(),
      cupId: paint.id,
      massG: kind === 'flood' ? 10 : 5,
    })),
  };
}
