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

/** A paint of a cup and its parts by weight. */
export interface PaintPart {
  readonly material: Material;
  readonly parts: number;
}

/** What a cup is planned from. */
export interface CupPlan {
  readonly recipe: Recipe;
  readonly variant: string | null;
  /** The cup's paint, or the several it is stirred together of, with their parts; none for a medium. */
  readonly paints: readonly PaintPart[];
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
  for (const { material } of plan.paints) {
    const because = refusal(plan.recipe, material.kind);
    if (because) throw unfit('materialId', plan.paints.length > 1 ? `${material.name}: ${because}` : because);
  }
  const [strongest] = [...plan.paints].sort((a, b) => b.parts - a.parts);
  const materialsFor = (source: IngredientSource): readonly PaintPart[] => {
    if (source.kind === 'paint' && plan.paints.length > 0) return plan.paints;
    const powder = strongest && isPowder(strongest.material) ? strongest.material : undefined;
    const material =
      source.kind === 'white'
        ? plan.white()
        : source.kind === 'material'
          ? powder && isPowderKind(source.material)
            ? powder
            : plan.ofKind(source.material)
          : undefined;
    if (!material) throw unfit('recipeId', lackOf(source, plan.ofKind));
    return [{ material, parts: 1 }];
  };
  const parts = expand(partsFor(plan.recipe, strongest?.material.finish ?? 'plain', plan.variant), {
    findRecipe: plan.findRecipe,
    densityOf: (source) => densityOf(materialsFor(source)),
  });
  const filled = parts.flatMap(({ of, share }) => {
    const materials = materialsFor(of);
    const all = materials.reduce((sum, each) => sum + each.parts, 0);
    return materials.map((each) => ({ material: each.material, share: (share * each.parts) / all }));
  });
  const targets = portion(filled, plan.totalMg);
  const ingredients = filled.map(({ material, share }, index) =>
    ingredient(plan, material, share, targets[index] ?? 0),
  );
  const thinner = plan.recipe.thinning?.with;
  if (!thinner || ingredients.some((each) => each.material.kind === thinner)) return ingredients;
  const [{ material } = {}] = materialsFor({ kind: 'material', material: thinner });
  return material ? [...ingredients, ingredient(plan, material, 0, 0)] : ingredients;
}

/** Of what is stirred together by weight, g/ml: the volumes add up. */
function densityOf(paints: readonly PaintPart[]): number {
  const mass = paints.reduce((sum, { parts }) => sum + parts, 0);
  return mass / paints.reduce((sum, { parts, material }) => sum + parts / material.densityGPerMl, 0);
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
    tintingStrength: material.tintingStrength,
  };
}
