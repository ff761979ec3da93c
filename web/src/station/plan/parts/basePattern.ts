import {
  USUAL_FILM,
  type BaseFilm,
  type BasePattern,
  type PlanBase,
  type PlanPaint,
} from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

export const USUAL_THICKNESS: BaseFilm = { kind: 'thickness', mm: 1 };

/** A base in another pattern; its paints, seam and film stay where they fit. `null` without any paint. */
export function baseIn(
  pattern: BasePattern,
  before: PlanBase | null,
  paints: readonly PlanPaint[],
  { widthMm, heightMm }: SupportSize,
): PlanBase | null {
  const bases = paints.filter((paint) => paint.role === 'base');
  const first = before?.areas[0]?.cupId ?? bases[0]?.id ?? paints[0]?.id;
  if (!first) return null;
  const second = before?.areas[1]?.cupId ?? bases.find(({ id }) => id !== first)?.id ?? first;
  const middle = widthMm / 2;
  const straight = {
    start: { x: middle, y: 0 },
    control: { x: middle, y: heightMm / 2 },
    end: { x: middle, y: heightMm },
  };
  return {
    pattern,
    areas: pattern === 'one' ? alike([first]) : alike([first, second]),
    seam: pattern === 'split' ? (before?.seam ?? straight) : null,
    film: before?.film ?? USUAL_FILM,
  };
}

const alike = (cupIds: readonly string[]): PlanBase['areas'] =>
  cupIds.map((cupId) => ({ cupId, share: 1 / cupIds.length }));

/** A marbled base with a third paint, or with two again. */
export function withThird(base: PlanBase, isOn: boolean): PlanBase {
  const [first, second = first] = base.areas.map(({ cupId }) => cupId);
  if (first === undefined || second === undefined) return base;
  return { ...base, areas: alike(isOn ? [first, second, first] : [first, second]) };
}
