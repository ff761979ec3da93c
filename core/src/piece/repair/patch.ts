import { colorDifference, mixColor } from '../../paint/color/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';

/** A cup as far as a patch is seen by it. */
export interface PatchCup {
  readonly role: CupRole;
  readonly colorHex: string;
  readonly laidMg: number;
}

/** How much the design stands out from its ground, CIEDE2000, and what that does to a patch in it. */
export interface PatchContrast {
  readonly difference: number;
  readonly verdict: 'hides' | 'may-show' | 'shows';
}

/**
 * A repair hides best where design and base differ least: the color of all that was laid for the design, stirred
 * together, against the color of the ground.
 *
 * Law: CIEDE2000 (Sharma, Wu & Dalal 2005) of a Kubelka-Munk mixture by mass and the ground; where it shows is common
 * practice, no published source, and an estimate.
 *
 * @returns null when there is no ground or no color to hold against it
 */
export function patchContrast(cups: readonly PatchCup[]): PatchContrast | null {
  const hexOf = (...roles: CupRole[]): string | null => {
    const laid = cups.filter(({ role, laidMg }) => roles.includes(role) && laidMg > 0);
    return laid.length === 0
      ? null
      : mixColor(laid.map(({ colorHex: hex, laidMg: amount }) => ({ hex, amount })));
  };
  const ground = hexOf('base', 'pillow');
  const design = hexOf('color', 'swipe');
  if (!ground || !design) return null;
  const difference = colorDifference(ground, design);
  const { hides, shows } = LIMITS.patchDifference;
  return { difference, verdict: difference < hides ? 'hides' : difference < shows ? 'may-show' : 'shows' };
}
