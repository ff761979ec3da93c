import type { PlannedCup, ShelvedMaterial } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { InputError } from '@icy-ribbon/core/base/error';
import { densityInMix, materialKind } from '@icy-ribbon/core/paint/material';
import { mixProperties } from '@icy-ribbon/core/paint/mix';
import { cupPaint, type PlanPaint } from '@icy-ribbon/core/piece/plan';
import { expand, partsFor, type IngredientSource, type Recipe } from '@icy-ribbon/core/paint/recipe';

const WHOLE_G = 100;

/** A cup that is only planned, as a paint: its recipe opened up and mixed by core. `undefined` if it cannot be. */
export function plannedPaint(
  cup: PlannedCup,
  shelf: readonly ShelvedMaterial[],
  findRecipe: (id: string) => Recipe | undefined,
): (PlanPaint & { readonly costPerG: number | null }) | undefined {
  const recipe = findRecipe(cup.recipeId);
  const wanted = cup.blend ?? [{ materialId: cup.materialId, parts: 1 }];
  const paints = wanted.flatMap(({ materialId, parts }) => {
    const material = shelf.find((each) => each.id === materialId);
    return material ? [{ material, parts }] : [];
  });
  const [paint] = [...paints].sort((a, b) => b.parts - a.parts).map(({ material }) => material);
  if (!recipe || (cup.blend && paints.length < cup.blend.length)) return undefined;
  const materialOf = (source: IngredientSource) => {
    if (source.kind === 'material') {
      const found = shelf.find((each) => each.kind === source.material);
      return (
        found ?? { ...materialKind(source.material), colorHex: '#ffffff', priceCents: null, packMg: null }
      );
    }
    return source.kind === 'white' ? shelf.find((each) => each.pigment === 'titanium-white') : paint;
  };
  try {
    const parts = expand(partsFor(recipe, paint?.finish ?? 'plain', cup.variant), {
      findRecipe,
      densityOf: (source) => materialOf(source)?.densityGPerMl,
    });
    const all = paints.reduce((sum, each) => sum + each.parts, 0);
    const filled = parts.flatMap((part) =>
      part.of.kind === 'paint' && paints.length > 1
        ? paints.map((each) => ({ ...part, share: (part.share * each.parts) / all, material: each.material }))
        : [{ ...part, material: materialOf(part.of) }],
    );
    if (filled.some((part) => !part.material)) return undefined;
    const ingredients = filled.map(({ share, material }) => ({
      targetMg: share * 1e6,
      material: { finish: 'plain', opacity: 'transparent', ...material! } as ShelvedMaterial,
    }));
    const properties = mixProperties(
      filled.map(({ share, material }) => ({
        massG: share * WHOLE_G,
        densityGPerMl: densityInMix(material as ShelvedMaterial),
        viscosityPaS: material!.viscosityPaS,
        waterFraction: material!.kind === 'water' ? 1 : 0,
      })),
    );
    const colorHex = cupColor(ingredients);
    return {
      ...cupPaint({ ...cup, ingredients }, properties, colorHex),
      costPerG: costPerG(ingredients.map(({ targetMg, material }) => ({ mg: targetMg, material }))),
    };
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** What a gram of a mix costs, in cents; `null` when a price is not known. */
export function costPerG(
  parts: readonly {
    readonly mg: number;
    readonly material:
      | { readonly kind: string; readonly priceCents: number | null; readonly packMg: number | null }
      | undefined;
  }[],
): number | null {
  const totalMg = parts.reduce((sum, part) => sum + part.mg, 0);
  let cents = 0;
  for (const { mg, material } of parts) {
    if (mg === 0 || material?.kind === 'water') continue;
    if (!material?.priceCents || !material.packMg) return null;
    cents += (mg * material.priceCents) / material.packMg;
  }
  return totalMg > 0 ? (1000 * cents) / totalMg : null;
}
