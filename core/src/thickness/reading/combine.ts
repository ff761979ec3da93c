import { InputError, requirePositive } from '../../base/error/index.ts';

/** One reading of thickness: a viscosity and the spread of its logarithm. */
export interface ThicknessReading {
  readonly viscosityPaS: number;
  readonly sdLn: number;
}

/**
 * One viscosity from several independent readings.
 *
 * Law: inverse-variance weights in ln(viscosity) (standard statistics).
 *
 * @param readings at least one; spreads above 0
 * @throws InputError naming "readings" or "readings.N.sdLn"
 * @example combine([{ viscosityPaS: 1, sdLn: 0.1 }, { viscosityPaS: 4, sdLn: 0.1 }]) // { viscosityPaS: 2, sdLn: 0.0707 }
 */
export function combine(readings: readonly ThicknessReading[]): ThicknessReading {
  if (readings.length === 0) throw new InputError('readings', 'Give at least one reading.');
  let [weights, sum] = [0, 0];
  readings.forEach(({ viscosityPaS, sdLn }, index) => {
    requirePositive(`readings.${index}.viscosityPaS`, viscosityPaS, 'The viscosity');
    requirePositive(`readings.${index}.sdLn`, sdLn, 'The spread');
    const weight = 1 / sdLn ** 2;
    weights += weight;
    sum += weight * Math.log(viscosityPaS);
  });
  return { viscosityPaS: Math.exp(sum / weights), sdLn: 1 / Math.sqrt(weights) };
}
