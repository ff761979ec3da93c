import type { Mix, ShelvedMaterial } from '@icy-ribbon/contract';
import { stockLeftMg } from '@icy-ribbon/core/paint/material';
import type { CupState } from '@icy-ribbon/core/paint/mix';

interface CheckedCup {
  readonly mix: Pick<Mix, 'ingredients' | 'role'>;
  readonly state: Pick<CupState, 'actualIngredientMg' | 'actualMg' | 'leftMg'>;
}

export interface ShortMaterial {
  readonly name: string;
  readonly needMg: number;
  readonly leftMg: number;
}

/**
 * What is still to be weighed in for a set against what the shelf has of it, as far as it was counted.
 * What is left of a medium made for the set is there already.
 */
export function shortMaterials(
  cups: readonly CheckedCup[],
  shelf: readonly ShelvedMaterial[],
): ShortMaterial[] {
  const need = new Map<string, number>();
  for (const { mix, state } of cups) {
    const leftShare = state.actualMg > 0 ? state.leftMg / state.actualMg : 0;
    mix.ingredients.forEach((each, index) => {
      const inMg = state.actualIngredientMg[index] ?? 0;
      const missing = mix.role === 'medium' ? -inMg * leftShare : Math.max(0, each.targetMg - inMg);
      need.set(each.material.materialId, missing + (need.get(each.material.materialId) ?? 0));
    });
  }
  return shelf.flatMap((material) => {
    const needMg = Math.round(need.get(material.id) ?? 0);
    const leftMg = stockLeftMg(material);
    return leftMg !== null && needMg > 0 && needMg > leftMg ? [{ name: material.name, needMg, leftMg }] : [];
  });
}
