import type { RehearsalNumbers } from '../../judgement/rehearsal/index.ts';
import { points } from '../schedule/index.ts';

/** What a picture is held against another in. */
export const GAP_NAMES = ['open', 'colors', 'reach', 'bare'] as const;
export type GapName = (typeof GAP_NAMES)[number];

/** How far a pour is from another, each 0 (alike) to 1 (nothing in common). */
export type Gaps = Readonly<Record<GapName, number>>;

/** As far apart as this is nothing in common: shares of the face, the paints' shares, and the reach as a factor (common practice). */
const OPEN = 0.3;
const COLORS = 0.4;
const REACH_LN = Math.log(1.8);
const BARE = 0.15;
/** What counts how much. */
const WEIGHTS: Gaps = { open: 0.35, colors: 0.25, reach: 0.3, bare: 0.1 };

const capped = (value: number): number => Math.min(1, Math.abs(value) || 0);

/** How far what was blown is from the picture it should become: the base left open, the paints' shares, how far it reaches, bare support. */
export function gapsTo(target: RehearsalNumbers, now: RehearsalNumbers): Gaps {
  const names = new Set([...Object.keys(target.shares), ...Object.keys(now.shares)]);
  const apart = [...names].reduce(
    (sum, name) => sum + Math.abs((target.shares[name] ?? 0) - (now.shares[name] ?? 0)),
    0,
  );
  const reach = Math.max(1, now.petals.reachMm) / Math.max(1, target.petals.reachMm);
  return {
    open: capped((now.negativeSpace - target.negativeSpace) / OPEN),
    colors: capped(apart / 2 / COLORS),
    reach: capped(Math.log(reach) / REACH_LN),
    bare: capped(Math.max(0, now.bare - target.bare) / BARE),
  };
}

const whole = (gaps: Gaps): number => GAP_NAMES.reduce((sum, name) => sum + WEIGHTS[name] * gaps[name], 0);
/** A picture that is so near to what was laid would make every breath a leap. */
const LEAST_WAY = 0.05;

/** Points for what was blown: how much of the way from what was laid to the picture it has come. */
export const scorePicture = (gaps: Gaps, laid: Gaps): number =>
  points(1 - whole(gaps) / Math.max(LEAST_WAY, whole(laid)));
