import type { Ingredient, Material, MaterialSnapshot } from '@icy-ribbon/contract';
import { materialKind, roleOf, substitutesFor, type MaterialKind } from '@icy-ribbon/core/material';
import {
  expand,
  partsFor,
  portion,
  refusal,
  type IngredientSource,
  type Recipe,
} from '@icy-ribbon/core/recipe';
import { unfit } from '../http/problem.ts';

/** What a cup is planned from. */
export interface CupPlan {
  readonly recipe: Recipe;
  readonly variant: string | null;
  readonly paint: Material;
  /** The shelf's material of a kind, if there is one. */
  readonly ofKind: (kind: MaterialKind) => Material | undefined;
  readonly white: () => Material | undefined;
  readonly findRecipe: (id: string) => Recipe | undefined;
  readonly totalMg: number;
  readonly makeId: () => string;
}

/**
 * The ingredients of one cup: the recipe opened up, filled with the paint and the shelf's materials,
 * weighed out to the milligram, each with its material's properties as they are now. What the recipe
 * stirs in to thin stands at the end with a target of 0.
 *
 * @throws HttpProblem 422 naming what the shelf lacks, with what could stand in for it
 */
export function planIngredients(plan: CupPlan): Ingredient[] {
  const because = refusal(plan.recipe, plan.paint.kind);
  if (because) throw unfit('paintId', because);
  const materialFor = (source: IngredientSource): Material => {
    const material =
      source.kind === 'paint'
        ? plan.paint
        : source.kind === 'white'
          ? plan.white()
          : isPowder(plan.paint) && isPowderKind(source.material)
            ? plan.paint
            : plan.ofKind(source.material);
    if (!material) throw unfit('recipeId', lackOf(source, plan.ofKind));
    return material;
  };
  const parts = expand(partsFor(plan.recipe, plan.paint.finish, plan.variant), {
    findRecipe: plan.findRecipe,
    densityOf: (source) => materialFor(source).densityGPerMl,
  });
  const targets = portion(parts, plan.totalMg);
  const ingredients = parts.map((part, index) =>
    ingredient(plan.makeId(), materialFor(part.of), part.share, targets[index] ?? 0),
  );
  const thinner = plan.recipe.thinning?.with;
  if (!thinner || ingredients.some((each) => each.material.kind === thinner)) return ingredients;
  const material = materialFor({ kind: 'material', material: thinner });
  return [...ingredients, ingredient(plan.makeId(), material, 0, 0)];
}

const isPowderKind = (kind: MaterialKind): boolean => materialKind(kind).group === 'powder';
const isPowder = (material: Material): boolean => isPowderKind(material.kind);

function ingredient(id: string, material: Material, share: number, targetMg: number): Ingredient {
  return { id, role: roleOf(material.kind), share, targetMg, material: snapshotOf(material) };
}

function lackOf(source: IngredientSource, ofKind: (kind: MaterialKind) => Material | undefined): string {
  if (source.kind !== 'material') return 'This recipe needs a white tube paint: put one on the shelf.';
  const label = materialKind(source.material).label.toLowerCase();
  const stand = substitutesFor(source.material).find((each) => each.parts.every((part) => ofKind(part.kind)));
  const instead = stand
    ? ` Instead, 1 part of it may be ${stand.parts
        .map((part) => `${part.parts} ${materialKind(part.kind).label.toLowerCase()}`)
        .join(' and ')}. ${stand.expect}`
    : '';
  return `This recipe needs ${label}, and there is none on the shelf.${instead}`;
}

export function snapshotOf(material: Material): MaterialSnapshot {
  return {
    materialId: material.id,
    name: material.name,
    kind: material.kind,
    colorHex: material.colorHex,
    dryColorHex: material.dryColorHex,
    finish: material.finish,
    opacity: material.opacity,
    pigment: material.pigment,
    densityGPerMl: material.densityGPerMl,
    densityTrust: material.densityTrust,
    viscosityPaS: material.viscosityPaS,
    viscosityTrust: material.viscosityTrust,
    solids: material.solids,
    waterLimit: material.waterLimit,
  };
}
