import { toG } from '@icy-ribbon/core/base/unit';
import type { Cup } from '#store/piece/piece.ts';

/** Milligrams by ingredient. */
type Parts = Readonly<Record<string, number>>;

/** A cup with more in it, as it would look. */
export function withOnTop(cup: Cup, parts: Parts): Cup {
  const actualIngredientMg = cup.state.actualIngredientMg.map(
    (mg, at) => mg + Math.max(0, parts[cup.mix.ingredients[at]?.id ?? ''] ?? 0),
  );
  return { ...cup, state: { ...cup.state, actualIngredientMg } };
}

/** Milliliters a cup holds with more in it. */
export function millilitersWith({ mix, state }: Cup, parts: Parts): number {
  return mix.ingredients.reduce((sum, { id, material }, at) => {
    const mg = (state.actualIngredientMg[at] ?? 0) + (parts[id] ?? 0);
    return sum + toG(mg) / material.densityGPerMl;
  }, 0);
}
