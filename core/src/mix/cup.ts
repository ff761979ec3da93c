import { isPaint, viscositySdLn, type MaterialKind, type Trust } from '../material/index.ts';
import { toG } from '../unit/mass.ts';
import { actualParts } from './portion.ts';
import { mixProperties, mixSpreadLn, type MixProperties } from './properties.ts';
import type { IngredientRole } from './school.ts';
import { waterVerdict, type WaterVerdict } from './water.ts';

/** What a cup's record must hold for its state to be computed. */
export interface CupRecord {
  readonly ingredients: readonly CupIngredient[];
  readonly additions: readonly { readonly ingredientId: string; readonly mg: number }[];
}

export interface CupIngredient {
  readonly id: string;
  readonly role: IngredientRole;
  readonly targetMg: number;
  readonly material: {
    readonly kind: MaterialKind;
    readonly densityGPerMl: number;
    readonly viscosityPaS: number;
    readonly viscosityTrust: Trust;
  };
}

export interface CupState {
  readonly phase: 'planned' | 'weighing' | 'mixed';
  readonly targetMg: number;
  readonly actualMg: number;
  readonly leftMg: number;
  /** Weighed in so far, one for each ingredient. */
  readonly actualIngredientMg: readonly number[];
  /** Parts by weight with the paint as 1: as weighed once something is, as planned before. */
  readonly parts: readonly number[];
  /** From what was weighed in once the cup is mixed, from the targets before. */
  readonly properties: MixProperties;
  readonly spreadLn: number;
  readonly trust: Trust;
  readonly water: WaterVerdict;
}

/** A cup counts as mixed when every ingredient reached this share of its target. */
const MIXED_SHARE = 0.95;

/**
 * Everything a screen says of a cup, from its record.
 *
 * @param cup its ingredients with targets, and what was weighed in
 * @param pouredMg what was laid on the support so far, whole milligrams
 */
export function cupState(cup: CupRecord, pouredMg = 0): CupState {
  const actualIngredientMg = cup.ingredients.map((ingredient) =>
    cup.additions
      .filter((addition) => addition.ingredientId === ingredient.id)
      .reduce((sum, addition) => sum + addition.mg, 0),
  );
  const targetMg = cup.ingredients.reduce((sum, each) => sum + each.targetMg, 0);
  const actualMg = actualIngredientMg.reduce((sum, mg) => sum + mg, 0);
  const mixed = cup.ingredients.every(
    (each, index) => (actualIngredientMg[index] ?? 0) >= MIXED_SHARE * each.targetMg,
  );
  const phase = mixed ? 'mixed' : actualMg > 0 ? 'weighing' : 'planned';
  const shownMg = cup.ingredients.map((each, index) =>
    phase === 'mixed' ? (actualIngredientMg[index] ?? 0) : each.targetMg,
  );
  const properties = mixProperties(
    cup.ingredients.map((each, index) => ({
      massG: toG(shownMg[index] ?? 0),
      densityGPerMl: each.material.densityGPerMl,
      viscosityPaS: each.material.viscosityPaS,
      waterFraction: each.material.kind === 'water' ? 1 : 0,
    })),
  );
  const paint = cup.ingredients.find((each) => isPaint(each.material.kind));
  return {
    phase,
    targetMg,
    actualMg,
    leftMg: Math.max(0, actualMg - pouredMg),
    actualIngredientMg,
    parts: actualParts(cup.ingredients.map((each, index) => ({ role: each.role, mg: shownMg[index] ?? 0 }))),
    properties,
    spreadLn: mixSpreadLn(
      cup.ingredients.map((each, index) => ({
        massG: toG(shownMg[index] ?? 0),
        sdLn: viscositySdLn(each.material.kind, each.material.viscosityTrust),
      })),
    ),
    trust: cup.ingredients.every(
      (each) => each.material.kind === 'water' || each.material.viscosityTrust === 'measured',
    )
      ? 'measured'
      : 'typical',
    water: waterVerdict(properties.waterFraction, paint?.material.kind ?? null),
  };
}
