/**
 * What should be left of a material, whole milligrams: what was counted, less what was weighed in since.
 *
 * @returns null where nothing was counted
 */
export const stockLeftMg = ({
  stockMg,
  usedMg,
}: {
  readonly stockMg: number | null;
  readonly usedMg: number;
}): number | null => (stockMg === null ? null : Math.max(0, stockMg - usedMg));
