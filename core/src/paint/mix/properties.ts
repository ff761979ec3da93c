import { InputError, requireNotNegative, requirePositive } from '../../base/error/index.ts';

/** One ingredient as it lies in the cup. */
export interface MixPart {
  readonly massG: number;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
  /** Share of the ingredient that counts as added water: 1 for water, 0 when left out. */
  readonly waterFraction?: number;
}

export interface MixProperties {
  readonly massG: number;
  readonly volumeMl: number;
  readonly densityGPerMl: number;
  readonly viscosityPaS: number;
  readonly waterFraction: number;
}

/**
 * Weight, volume, density, predicted thickness and water share of a mix.
 *
 * Law: ln mu = sum w_i ln mu_i over mass fractions (log-additive, interaction terms 0); volumes add,
 * 1/rho = sum w_i/rho_i. Source: Arrhenius 1887; Grunberg & Nissan 1949 (quoted from memory). Holds for
 * well-stirred mixes at one temperature; interaction terms stay 0 until data say otherwise.
 *
 * @param parts at least one; masses of 0 are allowed while a cup is being filled, but not all of them; water below 0 g
 * has dried away from the other parts
 * @throws InputError naming "parts" or "parts.N.massG" and so on
 * @example
 * mixProperties([
 *   { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
 *   { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
 *   { massG: 11.25, viscosityPaS: 0.001002, densityGPerMl: 0.9982, waterFraction: 1 },
 * ]).viscosityPaS // 0.76
 */
export function mixProperties(parts: readonly MixPart[]): MixProperties {
  parts.forEach(requirePart);
  const massG = parts.reduce((sum, part) => sum + part.massG, 0);
  if (massG <= 0) throw new InputError('parts', 'A mix needs at least one part above 0 g.');
  const volumeMl = parts.reduce((sum, part) => sum + part.massG / part.densityGPerMl, 0);
  const lnViscosity = parts.reduce((sum, part) => sum + part.massG * Math.log(part.viscosityPaS), 0) / massG;
  const waterG = parts.reduce((sum, part) => sum + part.massG * (part.waterFraction ?? 0), 0);
  return {
    massG,
    volumeMl,
    densityGPerMl: massG / volumeMl,
    viscosityPaS: Math.exp(lnViscosity),
    waterFraction: Math.max(0, waterG) / massG,
  };
}

function requirePart(part: MixPart, index: number): void {
  if (part.waterFraction !== 1) requireNotNegative(`parts.${index}.massG`, part.massG, 'Grams');
  requirePositive(`parts.${index}.viscosityPaS`, part.viscosityPaS, 'The viscosity');
  requirePositive(`parts.${index}.densityGPerMl`, part.densityGPerMl, 'The density');
}

/**
 * Spread of a mix's predicted ln(viscosity), from the independent spreads of its parts:
 * sd^2 = sum (w_i sd_i)^2.
 *
 * @param parts masses in grams with the sd of ln(viscosity) of each
 */
export function mixSpreadLn(parts: readonly { readonly massG: number; readonly sdLn: number }[]): number {
  const massG = parts.reduce((sum, part) => sum + part.massG, 0);
  if (massG <= 0) throw new InputError('parts', 'A mix needs at least one part above 0 g.');
  return Math.hypot(...parts.map((part) => (part.massG / massG) * part.sdLn));
}
