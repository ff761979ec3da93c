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
  return ingredients.map((each) => (unit ? Math.max(0, each.mg) / unit.mg : 0));
}
