import { InputError } from '../error/index.ts';
import { takesMetallicParts, type Finish } from '../material/index.ts';
import { splitMg } from '../unit/mass.ts';
import type { School, SchoolPart } from './school.ts';

/** The parts a school gives a paint of this finish. */
export function partsFor(school: School, finish: Finish): readonly SchoolPart[] {
  return takesMetallicParts(finish) && school.metallicParts ? school.metallicParts : school.parts;
}

/**
 * Grams of every ingredient of one cup, in the order of the recipe.
 *
 * @param parts the recipe's parts by weight
 * @param totalMg whole milligrams the cup shall hold, above 0
 * @returns whole milligrams, one for each part; their sum is exactly `totalMg`
 * @throws InputError naming `totalMg`
 * @example portion(partsFor(d2, 'plain'), 56250) // [30000, 15000, 11250]
 */
export function portion(parts: readonly { readonly parts: number }[], totalMg: number): number[] {
  if (!Number.isInteger(totalMg) || totalMg <= 0) {
    throw new InputError('totalMg', 'Say how many grams the cup shall hold, above 0.');
  }
  return splitMg(
    totalMg,
    parts.map((part) => part.parts),
  );
}

/**
 * Parts as they came out at the scale, with the paint as the unit the trade compares by; falls back to
 * the first ingredient in a cup without paint.
 *
 * @example actualParts([{ role: 'medium', mg: 30100 }, { role: 'paint', mg: 15000 }]) // [2.007, 1]
 */
export function actualParts(
  ingredients: readonly { readonly role: string; readonly mg: number }[],
): number[] {
  const unit =
    ingredients.find((each) => each.role === 'paint' && each.mg > 0) ??
    ingredients.find((each) => each.mg > 0);
  return ingredients.map((each) => (unit ? each.mg / unit.mg : 0));
}
