import type { Place } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { Petal } from './reach.ts';

/** A petal that ends where it looks like a mistake. */
export interface OddEnd {
  readonly passId: string;
  /** It stops just before the edge, or goes over it as a lone drip. */
  readonly kind: 'falls-short' | 'lone-drip';
  /** From the edge. */
  readonly mm: number;
}

/** Petals that nearly reach the edge are pushed over it on purpose, a lone drip looks wrong; shares of the shorter side (common practice). */
const NEARLY = 0.03;
const HARDLY = 0.04;

/** Which petals end so near the edge, on either side, that they look like a mistake. */
export function oddEnds(support: SupportSize, petals: readonly Petal[]): OddEnd[] {
  const span = Math.min(support.widthMm, support.heightMm);
  return petals.flatMap(({ passId, tip }): OddEnd[] => {
    const mm = insideMm(support, tip);
    if (mm >= 0 && mm < NEARLY * span) return [{ passId, kind: 'falls-short', mm }];
    if (mm < 0 && -mm < HARDLY * span) return [{ passId, kind: 'lone-drip', mm: -mm }];
    return [];
  });
}

/** How far inside the edge a place lies, mm; below 0 outside. */
function insideMm({ shape, widthMm, heightMm }: SupportSize, { x, y }: Place): number {
  if (shape === 'round') return widthMm / 2 - Math.hypot(x - widthMm / 2, y - heightMm / 2);
  return Math.min(x, y, widthMm - x, heightMm - y);
}
