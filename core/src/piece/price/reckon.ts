import { InputError, requireNotNegative } from '../../base/error/index.ts';

/** What went into a piece, in cents and hours. */
export interface PieceCosts {
  readonly paintCents: number;
  readonly supportCents: number;
  readonly coatCents: number;
  readonly otherCents: number;
  readonly hours: number;
}

export const PRICE_RULES = ['hours', 'area'] as const;

/** How the artist sets a price: hours and costs, or by the size of the face. */
export interface PriceRule {
  readonly by: (typeof PRICE_RULES)[number];
  readonly centsPerHour: number;
  /** Costs are asked for so many times. */
  readonly factor: number;
  readonly centsPerCm2: number;
  /** Wear of blowers, cups and torch, as a share of the materials. */
  readonly wearShare: number;
}

export interface Reckoning {
  readonly materialCents: number;
  readonly wearCents: number;
  readonly workCents: number;
  /** All of these: what it cost the artist. */
  readonly costCents: number;
  /** What is asked for it by the rule, never below what the materials cost. */
  readonly askedCents: number;
}

/**
 * What a piece cost and what is asked for it.
 *
 * Law: by hours: hours x rate + (materials + wear) x factor; by area: face x rate. Common practice, no published source.
 *
 * @throws InputError naming the field
 * @example reckon({ paintCents: 600, supportCents: 900, coatCents: 500, otherCents: 0, hours: 2 }, { by: 'hours', centsPerHour: 1500, factor: 2, centsPerCm2: 0, wearShare: 0.1 }, 900)
 * // { materialCents: 2000, wearCents: 200, workCents: 3000, costCents: 5200, askedCents: 7400 }
 */
export function reckon(costs: PieceCosts, rule: PriceRule, faceCm2: number): Reckoning {
  for (const key of ['paintCents', 'supportCents', 'coatCents', 'otherCents'] as const) {
    requireNotNegative(key, costs[key], 'A cost');
  }
  requireNotNegative('hours', costs.hours, 'The hours');
  requireNotNegative('centsPerHour', rule.centsPerHour, 'The rate');
  requireNotNegative('centsPerCm2', rule.centsPerCm2, 'The rate');
  requireNotNegative('wearShare', rule.wearShare, 'The wear');
  if (!(rule.factor >= 1))
    throw new InputError('factor', 'The factor is 1 or more: costs come in at least once.');
  const materialCents = costs.paintCents + costs.supportCents + costs.coatCents + costs.otherCents;
  const wearCents = materialCents * rule.wearShare;
  const workCents = costs.hours * rule.centsPerHour;
  const byRule =
    rule.by === 'hours' ? workCents + (materialCents + wearCents) * rule.factor : faceCm2 * rule.centsPerCm2;
  const whole = Math.round;
  return {
    materialCents: whole(materialCents),
    wearCents: whole(wearCents),
    workCents: whole(workCents),
    costCents: whole(materialCents + wearCents + workCents),
    askedCents: whole(Math.max(byRule, materialCents + wearCents)),
  };
}

/** A pause longer than this is no work. */
const PAUSE_MS = 20 * 60_000;
/** What is logged by itself took about so long. */
const ALONE_MS = 2 * 60_000;
const HOUR_MS = 3_600_000;

/**
 * Hours at the table, from when things were logged: what lies close together is one stretch of work (an assumption).
 *
 * @param timesMs in any order
 */
export function workedHours(timesMs: readonly number[]): number {
  const sorted = [...timesMs].sort((a, b) => a - b);
  const worked = sorted.reduce((sum, time, index) => {
    const gap = index === 0 ? Infinity : time - sorted[index - 1]!;
    return sum + (gap <= PAUSE_MS ? gap : ALONE_MS);
  }, 0);
  return worked / HOUR_MS;
}
