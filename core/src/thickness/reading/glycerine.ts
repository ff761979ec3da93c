import { InputError } from '../../base/error/index.ts';

/**
 * Viscosity of glycerine with water, the reference liquid anyone can mix.
 *
 * Law: mu = mu_w^a mu_g^(1-a), a = 1 - C + b c C (1-C) / (b C + c (1-C)) with b = 0.705 - 0.0017 T,
 * c = (4.9 + 0.036 T) b^2.5. Source: Cheng 2008 (formula and constants from memory). Holds from 0 to
 * 100 °C; within a few percent.
 *
 * @param massFraction glycerine's share by weight, 0 to 1
 * @param temperatureC °C
 * @returns Pa.s
 * @throws InputError naming "glycerineMassFraction" or "temperatureC"
 * @example glycerineViscosity(1, 20) // 1.4138
 */
export function glycerineViscosity(massFraction: number, temperatureC: number): number {
  requireMixture(massFraction, temperatureC);
  const [c, t] = [massFraction, temperatureC];
  const water = 1.79e-3 * Math.exp(((-1230 - t) * t) / (36100 + 360 * t));
  const glycerine = 12.1 * Math.exp(((-1233 + t) * t) / (9900 + 70 * t));
  const b = 0.705 - 0.0017 * t;
  const d = (4.9 + 0.036 * t) * b ** 2.5;
  const share = 1 - c + (b * d * c * (1 - c)) / (b * c + d * (1 - c));
  return water ** share * glycerine ** (1 - share);
}

/**
 * Density of glycerine with water, g/ml, volumes taken as additive. Source: Cheng 2008 (from memory).
 *
 * @throws InputError like `glycerineViscosity`
 * @example glycerineDensity(1, 20) // 1.264
 */
export function glycerineDensity(massFraction: number, temperatureC: number): number {
  requireMixture(massFraction, temperatureC);
  const glycerine = 1.277 - 0.000654 * temperatureC;
  const water = 1 - (Math.abs(temperatureC - 4) / 622) ** 1.7;
  return 1 / (massFraction / glycerine + (1 - massFraction) / water);
}

function requireMixture(massFraction: number, temperatureC: number): void {
  if (!(massFraction >= 0 && massFraction <= 1)) {
    throw new InputError('glycerineMassFraction', 'The share of glycerine lies between 0 and 1.');
  }
  if (!(temperatureC >= 0 && temperatureC <= 100)) {
    throw new InputError('temperatureC', 'The formula holds from 0 to 100 °C.');
  }
}
