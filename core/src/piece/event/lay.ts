/** Why a cup cannot give this much; undefined when it can. Grams are shown to a tenth. */
export function layProblem(
  cup: { readonly name: string; readonly leftMg: number },
  mg: number,
): string | undefined {
  if (mg <= cup.leftMg) return undefined;
  return cup.leftMg === 0
    ? `Nothing is left in "${cup.name}". Weigh it in first.`
    : `"${cup.name}" holds ${(cup.leftMg / 1000).toFixed(1)} g: lay down that much or less.`;
}
