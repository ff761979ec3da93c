import { InputError } from '../../base/error/index.ts';

export interface RepairPart {
  /** What is in the cup, grams. */
  readonly inG: number;
  /** What the recipe wants of it, as a share of the mass. */
  readonly share: number;
}

export interface Repair {
  /** Grams to add of each ingredient. */
  readonly addG: readonly number[];
  readonly totalG: number;
}

const STEPS = 200;

/**
 * Brings an over-poured cup back to its recipe with the least paint: nothing can be taken out, so the
 * others follow the one that ran over, only as far as every share lies within the tolerance again.
 *
 * Law: the smallest final mass F for which grams f_i exist with f_i >= what is in, sum f_i = F and
 * (1 - t) s_i F <= f_i <= (1 + t) s_i F. Common practice; the arithmetic is our own.
 *
 * @param parts what is in the cup and the wanted shares (sum 1)
 * @param tolerance relative, 0 up to 0.5; 0 restores the recipe exactly
 * @returns grams to add, all 0 when the cup is within tolerance already
 * @throws InputError naming "parts" or "tolerance"
 * @example bringUp([{ inG: 40, share: 0.5 }, { inG: 15, share: 0.25 }, { inG: 0, share: 0.25 }], 0)
 * // { addG: [0, 5, 20], totalG: 80 }
 */
export function bringUp(parts: readonly RepairPart[], tolerance: number): Repair {
  requireParts(parts, tolerance);
  const inG = parts.reduce((sum, part) => sum + part.inG, 0);
  const wanted = (totalG: number) =>
    parts.map((part) => Math.max(part.inG, (1 - tolerance) * part.share * totalG));
  const fits = (totalG: number) =>
    parts.every((part) => part.inG <= (1 + tolerance) * part.share * totalG * (1 + 1e-12)) &&
    wanted(totalG).reduce((sum, mass) => sum + mass, 0) <= totalG * (1 + 1e-12);
  const exactG = Math.max(...parts.map((part) => part.inG / part.share));
  const totalG = smallest(fits, inG, Math.max(exactG, inG));
  const least = wanted(totalG);
  const slack = totalG - least.reduce((sum, mass) => sum + mass, 0);
  const room = parts.map((part, index) => (1 + tolerance) * part.share * totalG - (least[index] ?? 0));
  const roomInAll = room.reduce((sum, each) => sum + Math.max(0, each), 0);
  const addG = parts.map((part, index) => {
    const share = roomInAll > 0 ? Math.max(0, room[index] ?? 0) / roomInAll : 0;
    return Math.max(0, (least[index] ?? 0) + slack * share - part.inG);
  });
  return { addG, totalG };
}

/** The smallest mass that fits, between one that may not and one that does. */
function smallest(fits: (totalG: number) => boolean, low: number, high: number): number {
  if (fits(low)) return low;
  let [below, above] = [low, high];
  for (let step = 0; step < STEPS && above - below > 1e-9 * above; step += 1) {
    const middle = (below + above) / 2;
    if (fits(middle)) above = middle;
    else below = middle;
  }
  return above;
}

function requireParts(parts: readonly RepairPart[], tolerance: number): void {
  if (!(tolerance >= 0 && tolerance <= 0.5)) {
    throw new InputError('tolerance', 'The tolerance lies between 0 and 0.5.');
  }
  const shares = parts.reduce((sum, part) => sum + part.share, 0);
  if (parts.length === 0 || Math.abs(shares - 1) > 1e-6 || parts.some((part) => part.share <= 0)) {
    throw new InputError('parts', 'The wanted shares must be above 0 and add up to 1.');
  }
  if (parts.some((part) => !Number.isFinite(part.inG) || part.inG < 0)) {
    throw new InputError('parts', 'What is in the cup must be 0 g or more.');
  }
}

/**
 * How much of the *mixed* cup to take out first, so that bringing up the rest ends at a given total.
 *
 * @param limitG what the cup may hold in the end
 * @returns grams to take out of the stirred cup (0 when bringing up fits anyway), and the repair of the rest
 */
export function takeOutAndBringUp(
  parts: readonly RepairPart[],
  limitG: number,
  tolerance: number,
): { takeOutG: number; repair: Repair } {
  if (!(limitG > 0)) throw new InputError('limitG', 'Say how much the cup may hold.');
  const whole = bringUp(parts, tolerance);
  if (whole.totalG <= limitG) return { takeOutG: 0, repair: whole };
  const keep = limitG / whole.totalG;
  const inG = parts.reduce((sum, part) => sum + part.inG, 0);
  return {
    takeOutG: (1 - keep) * inG,
    repair: { addG: whole.addG.map((grams) => grams * keep), totalG: limitG },
  };
}
