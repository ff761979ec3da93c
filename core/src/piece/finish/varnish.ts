import { InputError, requireNotNegative, requirePositive } from '../../base/error/index.ts';

/** What is varnished, how often, how thick a coat is while it is wet. */
export interface VarnishJob {
  readonly areaMm2: number;
  readonly coats: number;
  readonly wetMm: number;
  readonly densityGPerMl: number;
  /** What stays in brush and cup, as a share of what lies. */
  readonly lossShare: number;
}

export interface VarnishAmounts {
  readonly coatG: number;
  readonly coatMl: number;
  readonly totalG: number;
}

/**
 * How much varnish each coat takes, and all of them.
 *
 * Law: m = A x wet thickness x density x (1 + loss). Arithmetic.
 *
 * @throws InputError naming the field
 * @example varnishAmounts({ areaMm2: 100000, coats: 4, wetMm: 0.1, densityGPerMl: 1.05, lossShare: 0.2 }) // { coatG: 12.6, coatMl: 12, totalG: 50.4 }
 */
export function varnishAmounts({
  areaMm2,
  coats,
  wetMm,
  densityGPerMl,
  lossShare,
}: VarnishJob): VarnishAmounts {
  requirePositive('areaMm2', areaMm2, 'The area');
  requirePositive('wetMm', wetMm, 'The thickness of a coat');
  requirePositive('densityGPerMl', densityGPerMl, 'The density');
  requireNotNegative('lossShare', lossShare, 'What stays in the brush');
  if (!Number.isInteger(coats) || coats < 1)
    throw new InputError('coats', 'At least one coat, in whole coats.');
  const coatMl = (areaMm2 * wetMm * (1 + lossShare)) / 1000;
  const coatG = coatMl * densityGPerMl;
  return { coatMl, coatG, totalG: coats * coatG };
}

/** A brushed coat of gloss varnish, until told otherwise (common practice, no published source). */
export const USUAL_VARNISH = { coats: 4, wetMm: 0.1, densityGPerMl: 1.03, lossShare: 0.2 } as const;
