import { InputError, requirePositive } from '../../base/error/index.ts';
import { mixProperties, type MixPart } from './properties.ts';

/** Water cannot be taken out again, so only this share of the computed need is advised at once. */
export const THINNING_STEP = 0.8;

export interface Thinner {
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
}

/**
 * How much thinner brings a mix to a target viscosity, and how much of it to stir in now.
 *
 * Law: the log-additive mixing of `mixProperties` solved for the added mass,
 * a = M (ln mu - ln target) / (ln target - ln mu_thinner). The advice is 80 % of it.
 *
 * @param parts the mix as it lies in the cup
 * @param targetPaS Pa.s; between the thinner's and the mix's own viscosity
 * @returns grams to reach the target, and grams to add before looking again
 * @throws InputError naming `targetPaS` when the mix is already thinner, or the thinner is too thick
 * @example
 * thin([{ massG: 45, viscosityPaS: 1.2, densityGPerMl: 1.1 }], 0.8, { viscosityPaS: 0.001, densityGPerMl: 1 })
 * // { addG: 2.73, adviseG: 2.18 }
 */
export function thin(
  parts: readonly MixPart[],
  targetPaS: number,
  thinner: Thinner,
): { addG: number; adviseG: number } {
  requirePositive('targetPaS', targetPaS, 'The target viscosity');
  requirePositive('thinner.viscosityPaS', thinner.viscosityPaS, 'The thinner’s viscosity');
  const mix = mixProperties(parts);
  if (targetPaS > mix.viscosityPaS) {
    throw new InputError(
      'targetPaS',
      `The mix is at ${mix.viscosityPaS.toPrecision(3)} Pa·s, already thinner than the target of ${targetPaS.toPrecision(3)}: a thinner cannot thicken it.`,
    );
  }
  if (thinner.viscosityPaS >= targetPaS) {
    throw new InputError(
      'thinner.viscosityPaS',
      `A thinner of ${thinner.viscosityPaS.toPrecision(3)} Pa·s cannot bring a mix down to ${targetPaS.toPrecision(3)} Pa·s.`,
    );
  }
  const addG =
    (mix.massG * Math.log(mix.viscosityPaS / targetPaS)) / Math.log(targetPaS / thinner.viscosityPaS);
  return { addG, adviseG: THINNING_STEP * addG };
}
