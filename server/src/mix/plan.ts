import type { Ingredient, Material, MaterialSnapshot } from '@icy-ribbon/contract';
import type { LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import {
  materialKind,
  roleOf,
  substitutesFor,
  trustOf,
  type MaterialKind,
} from '@icy-ribbon/core/paint/material';
import {
  expand,
  partsFor,
  portion,
  refusal,
  type IngredientSource,
  type Recipe,
} from '@icy-ribbon/core/paint/recipe';
import { unfit } from '../http/problem.ts';

/** What a cup is planned from. */
export interface CupPlan {
  readonly recipe: Recipe;
  readonly variant: string | null;
  /** None for a medium. */
  readonly paint: Material | undefined;
  /** The shelf's material of a kind, if there is one. */
  readonly ofKind: (kind: MaterialKind) => Material | undefined;
  readonly white: () => Material | undefined;
  readonly findRecipe: (id: string) => Recipe | undefined;
  readonly totalMg: number;
  /** What readings of other pieces taught about a material. */
  readonly learned: (materialId: string) => LearnedThickness | undefined;
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
  const because = plan.paint && refusal(plan.recipe, plan.paint.kind);
  if (because) throw unfit('paintId', because);
  const materialFor = (source: IngredientSource): Material => {
    const material =
      source.kind === 'paint'
        ? plan.paint
        : source.kind === 'white'
          ? plan.white()
          : plan.paint && isPowder(plan.paint) && isPowderKind(source.material)
            ? plan.paint
            : plan.ofKind(source.material);
    if (!material) throw unfit('recipeId', lackOf(source, plan.ofKind));
    return material;
  };
  const parts = expand(partsFor(plan.recipe, plan.paint?.finish ?? 'plain', plan.variant), {
    findRecipe: plan.findRecipe,
    densityOf: (source) => materialFor(source).densityGPerMl,
  });
  const targets = portion(parts, plan.totalMg);
  const ingredients = parts.map((part, index) =>
    ingredient(plan, materialFor(part.of), part.share, targets[index] ?? 0),
  );
  const thinner = plan.recipe.thinning?.with;
  if (!thinner || ingredients.some((each) => each.material.kind === thinner)) return ingredients;
  const material = materialFor({ kind: 'material', material: thinner });
  return [...ingredients, ingredient(plan, material, 0, 0)];
}

const isPowderKind = (kind: MaterialKind): boolean => materialKind(kind).group === 'powder';
const isPowder = (material: Material): boolean => isPowderKind(material.kind);

function ingredient(plan: CupPlan, material: Material, share: number, targetMg: number): Ingredient {
  return {
    id: plan.makeId(),
    role: roleOf(material.kind),
    share,
    targetMg,
    material: snapshotOf(material, plan.learned(material.id)),
  };
}

function lackOf(source: IngredientSource, ofKind: (kind: MaterialKind) => Material | undefined): string {
  if (source.kind === 'paint') return 'This recipe needs a paint: choose one from the shelf.';
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

/** A material as it is known now; what readings taught stands in for a typical value. */
export function snapshotOf(material: Material, learned?: LearnedThickness): MaterialSnapshot {
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
    viscosityPaS: learned?.viscosityPaS ?? material.viscosityPaS,
    viscosityTrust: learned ? trustOf(learned.sdLn) : material.viscosityTrust,
    viscositySdLn: learned?.sdLn ?? null,
    waterBend: learned?.waterBend ?? null,
    solids: material.solids,
    waterLimit: material.waterLimit,
  };
}
