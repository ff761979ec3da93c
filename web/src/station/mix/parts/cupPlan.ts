import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { materialKind } from '@icy-ribbon/core/paint/material';
import {
  expand,
  partsFor,
  totalMassG,
  type Amount,
  type IngredientSource,
  type Recipe,
} from '@icy-ribbon/core/paint/recipe';
import { toMg } from '@icy-ribbon/core/base/unit';

/** A recipe made ready to be asked how much: shares, densities, and which part is the paint. */
export interface PlannedCup {
  readonly densityGPerMl: number;
  readonly paintIndex: number;
  /** Whole milligrams the cup shall hold. */
  totalMgFor(amount: Amount): number;
}

/** Opens a recipe up with what is on the shelf; `undefined` while it cannot be. */
export function cupPlanOf(
  recipe: Recipe,
  variant: string | null,
  paint: ShelvedMaterial | undefined,
  shelf: readonly ShelvedMaterial[],
  findRecipe: (id: string) => Recipe | undefined,
): PlannedCup | undefined {
  const densityOf = (source: IngredientSource): number | undefined => {
    if (source.kind === 'material') {
      const onShelf = shelf.find((each) => each.kind === source.material);
      return onShelf?.densityGPerMl ?? materialKind(source.material).densityGPerMl;
    }
    return paint?.densityGPerMl;
  };
  try {
    const parts = expand(partsFor(recipe, paint?.finish ?? 'plain', variant), { findRecipe, densityOf });
    const densities = parts.map((part) => densityOf(part.of) ?? 1);
    const mlPerG = parts.reduce((sum, part, index) => sum + part.share / (densities[index] ?? 1), 0);
    return {
      densityGPerMl: 1 / mlPerG,
      paintIndex: parts.findIndex((part) => part.of.kind === 'paint'),
      totalMgFor: (amount) => toMg(totalMassG(parts, densities, amount)),
    };
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}
