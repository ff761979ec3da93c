import {
  isPaint,
  materialKind,
  viscositySdLn,
  type MaterialKind,
  type Trust,
} from '../../paint/material/index.ts';
import type { Weights } from './belief.ts';

/** What learning needs to know of an ingredient's material. */
export interface LearnedMaterial {
  readonly materialId: string;
  readonly kind: MaterialKind;
  readonly viscosityPaS: number;
  readonly viscosityTrust: Trust;
  /** Spread of its ln(viscosity) where it was learned; else that of its trust. */
  readonly viscositySdLn?: number | null;
  /** How it bends away from the plain mixing law with water, where it was learned. */
  readonly waterBend?: { readonly mean: number; readonly sd: number } | null;
}

export interface LearnedIngredient {
  readonly material: LearnedMaterial;
}

/**
 * Spread of how a paint or a medium bends the mixing law with water before anything is known: together they let a
 * usual mix answer to water about a quarter more or less than the law has it (the product's own, chosen by simulated
 * artists whose paint is off by 30 %).
 */
export const WATER_BEND_SD = 3.5;

/** Whether a material is thinned by water in a way of its own. */
const bends = (kind: MaterialKind): boolean => isPaint(kind) || materialKind(kind).group === 'medium';

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
 * ln mu = sum w_i ln mu_i + w_water sum w_i G_i, written as weights of what is unknown.
 *
 * Source: Arrhenius 1887; Grunberg & Nissan 1949, with interaction only of water with paints and media (from memory).
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
    if (priorSd(material) === 0) offset += share * Math.log(material.viscosityPaS);
    else add(weights, thicknessName(material.materialId), share);
    if (bends(material.kind)) add(weights, bendName(material.materialId), share * water);
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
    const { materialId, kind, viscosityPaS, waterBend } = material;
    const sd = priorSd(material);
    const bend = waterBend ?? { mean: 0, sd: WATER_BEND_SD };
    return [
      ...(sd > 0 ? [{ name: thicknessName(materialId), mean: Math.log(viscosityPaS), sd }] : []),
      ...(bends(kind) ? [{ name: bendName(materialId), ...bend }] : []),
    ];
  });
}
