import { InputError, requireNotNegative, requirePositive } from '../../base/error/index.ts';

/** A kit's two parts, as the kit says them: "2 to 1 by volume". */
export interface ResinRatio {
  readonly by: 'volume' | 'mass';
  readonly a: number;
  readonly b: number;
}

/** What is coated, how thick, with which kit. */
export interface ResinCoat {
  readonly areaMm2: number;
  /** Length of the rim that resin runs over. */
  readonly edgeMm: number;
  readonly sideDepthMm: number;
  readonly thicknessMm: number;
  /** What drips off, as a share of what stays. */
  readonly dripShare: number;
  readonly ratio: ResinRatio;
  readonly densityAGPerMl: number;
  readonly densityBGPerMl: number;
  /** The deepest that the kit may be poured at once. */
  readonly maxPourMm: number;
}

export interface ResinAmounts {
  readonly volumeMl: number;
  readonly aG: number;
  readonly bG: number;
  readonly aMl: number;
  readonly bMl: number;
  /** Pours, none deeper than the kit allows. */
  readonly pours: number;
}

/** A depth that is over the limit by less than this is the limit, written in another unit. */
const SAME_DEPTH = 1e-9;

/**
 * How much of a resin kit a coat takes: face and sides as thick, what drips on top, both parts in grams and milliliters.
 *
 * Law: V = (A + rim x side) x thickness x (1 + drips); by volume V_a / V_b = a / b; by mass m_a / m_b = a / b with
 * V = m_a / rho_a + m_b / rho_b. Arithmetic; the side is taken as thick as the face, which is on the safe side.
 *
 * @throws InputError naming the field, as "ratio.a" for a part of the ratio
 * @example resinAmounts({ areaMm2: 110000, edgeMm: 0, sideDepthMm: 0, thicknessMm: 1, dripShare: 0, ratio: { by: 'mass', a: 100, b: 30 }, densityAGPerMl: 1.25, densityBGPerMl: 1, maxPourMm: 3 })
 * // { volumeMl: 110, aG: 100, bG: 30, aMl: 80, bMl: 30, pours: 1 }
 */
export function resinAmounts(coat: ResinCoat): ResinAmounts {
  const { areaMm2, edgeMm, sideDepthMm, thicknessMm, dripShare, ratio, maxPourMm } = coat;
  requirePositive('areaMm2', areaMm2, 'The area');
  requireNotNegative('edgeMm', edgeMm, 'The rim');
  requireNotNegative('sideDepthMm', sideDepthMm, 'The side depth');
  requirePositive('thicknessMm', thicknessMm, 'The thickness');
  requireNotNegative('dripShare', dripShare, 'What drips');
  requirePositive('densityAGPerMl', coat.densityAGPerMl, 'The density of part A');
  requirePositive('densityBGPerMl', coat.densityBGPerMl, 'The density of part B');
  requirePositive('maxPourMm', maxPourMm, 'The deepest pour');
  for (const part of ['a', 'b'] as const) {
    if (!(Number.isFinite(ratio[part]) && ratio[part] > 0)) {
      throw new InputError(`ratio.${part}`, 'Both parts of the ratio are above 0, as the kit says them.');
    }
  }
  const volumeMl = ((areaMm2 + edgeMm * sideDepthMm) * thicknessMm * (1 + dripShare)) / 1000;
  // Milliliters of each part to one unit of the ratio.
  const [unitA, unitB] =
    ratio.by === 'volume'
      ? [ratio.a, ratio.b]
      : [ratio.a / coat.densityAGPerMl, ratio.b / coat.densityBGPerMl];
  const aMl = (volumeMl * unitA) / (unitA + unitB);
  const bMl = volumeMl - aMl;
  return {
    volumeMl,
    aG: aMl * coat.densityAGPerMl,
    bG: bMl * coat.densityBGPerMl,
    aMl,
    bMl,
    pours: Math.max(1, Math.ceil(thicknessMm / maxPourMm - SAME_DEPTH)),
  };
}

/** A kit as most are, until the artist types what the bottles say (common practice, no published source). */
export const USUAL_KIT = {
  ratio: { by: 'volume', a: 1, b: 1 },
  densityAGPerMl: 1.12,
  densityBGPerMl: 1.02,
  maxPourMm: 3,
} as const satisfies Pick<ResinCoat, 'ratio' | 'densityAGPerMl' | 'densityBGPerMl' | 'maxPourMm'>;

/** A clear coat and what runs off its rim, until told otherwise (common practice, no published source). */
export const USUAL_COAT = { thicknessMm: 1.5, dripShare: 0.15 } as const;
