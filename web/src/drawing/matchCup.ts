import { materialKind, isPaint } from '@icy-ribbon/core/paint/material';
import type { SetCup } from '@icy-ribbon/core/thickness/match';
import { shapeOf } from './cupLayers.ts';
import type { Cup } from '../store/piece/cup.ts';

const USUAL_WATER_LIMIT = 0.3;

/** A cup of the piece as matching sees it. */
export function matchCupOf(cup: Cup): SetCup {
  const { mix, state } = cup;
  const paint = mix.ingredients.find((each) => isPaint(each.material.kind));
  const kind = paint && materialKind(paint.material.kind);
  return {
    id: mix.id,
    name: mix.name,
    role: mix.role,
    ingredients: mix.ingredients,
    contentsMg: state.shownIngredientMg,
    capacityMl: shapeOf(cup).capacityMl,
    waterLimit:
      mix.recipe.waterLimit ?? paint?.material.waterLimit ?? kind?.waterLimit?.caution ?? USUAL_WATER_LIMIT,
  };
}
