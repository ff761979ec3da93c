import { isPaint, viscositySdLn, type MaterialKind, type Trust } from '../../paint/material/index.ts';
import type { Weights } from './belief.ts';

/** What learning needs to know of an ingredient's material. */
export interface LearnedMaterial {
  readonly materialId: string;
  readonly kind: MaterialKind;
  readonly viscosityPaS: number;
  readonly viscosityTrust: Trust;
  /** Spread of its ln(viscosity) where it was learned; else that of its trust. */
  readonly viscositySdLn?: number | null;
  /** How the paint bends away from the plain mixing law with water, where it was learned. */
  readonly waterBend?: { readonly mean: number; readonly sd: number } | null;
}

export interface LearnedIngredient {
  readonly material: LearnedMaterial;
}

/**
 * Spread of a paint's interaction with water before anything is known (from memory; a factor of 1.1 in a
 * usual Dutch mix, of 1.6 in half water).
 */
export const WATER_BEND_SD = 2;

/**
 * What the belief calls the thickness of a material.
 *
 * @example thicknessName('x') // 'thickness x'
 */
export const thicknessName = (materialId: string): string => `thickness ${materialId}`;
/**
 * What the belief calls how a material bends the mixing law.
 *
 * @example bendName('x') // 'bend x'
 */
export const bendName = (materialId: string): string => `bend ${materialId}`;

/** A cup's ln(viscosity) as a weighted sum of unknowns and a known rest. */
export interface Composition {
  readonly weights: Weights;
  readonly offset: number;
}

/**
 * ln mu = sum w_i ln mu_i + w_water sum w_paint G_paint, written as weights of what is unknown.
 *
 * Source: Arrhenius 1887; Grunberg & Nissan 1949, with interaction only between water and paints (from memory).
 *
 * @param ingredients of the cup; @param contentsMg one for each, not all 0
 */
export function composition(
  ingredients: readonly LearnedIngredient[],
  contentsMg: readonly number[],
): Composition {
  const total = contentsMg.reduce((sum, mg) => sum + mg, 0);
  const shares = contentsMg.map((mg) => mg / total);
  const water = ingredients.reduce(
    (sum, { material }, at) => sum + (material.kind === 'water' ? (shares[at] ?? 0) : 0),
    0,
  );
  const weights: Record<string, number> = {};
  let offset = 0;
  ingredients.forEach(({ material }, at) => {
    const share = shares[at] ?? 0;
    if (share === 0) return;
    if (priorSd(material) === 0) {
      offset += share * Math.log(material.viscosityPaS);
      return;
    }
    add(weights, thicknessName(material.materialId), share);
    if (isPaint(material.kind)) add(weights, bendName(material.materialId), share * water);
  });
  return { weights, offset };
}

function add(weights: Record<string, number>, name: string, weight: number): void {
  weights[name] = weight + (weights[name] ?? 0);
}

function priorSd(material: LearnedMaterial): number {
  return material.viscositySdLn ?? viscositySdLn(material.kind, material.viscosityTrust);
}

/** What is known of the materials of some cups before anything was read; the surest entry of each counts. */
export function priorsOf(
  ingredients: readonly LearnedIngredient[],
): { name: string; mean: number; sd: number }[] {
  const surest = new Map<string, LearnedMaterial>();
  for (const { material } of ingredients) {
    const known = surest.get(material.materialId);
    if (!known || priorSd(material) < priorSd(known)) surest.set(material.materialId, material);
  }
  return [...surest.values()].flatMap((material) => {
    const sd = priorSd(material);
    if (sd === 0) return [];
    const thickness = {
      name: thicknessName(material.materialId),
      mean: Math.log(material.viscosityPaS),
      sd,
    };
    if (!isPaint(material.kind)) return [thickness];
    const bend = material.waterBend ?? { mean: 0, sd: WATER_BEND_SD };
    return [thickness, { name: bendName(material.materialId), ...bend }];
  });
}
