import { isPaint, type MaterialKind } from '../material/index.ts';
import { mixColor } from './mixColor.ts';

const UNPAINTED = '#ffffff';

/**
 * The color of a cup: its paints stirred together by their planned weights; media, which dry clear, do
 * not show. A cup without paint shows its first ingredient.
 */
export function cupColor(
  ingredients: readonly {
    readonly targetMg: number;
    readonly material: {
      readonly kind: MaterialKind;
      readonly colorHex: string;
      readonly tintingStrength?: number | null | undefined;
    };
  }[],
): string {
  const paints = ingredients.filter((each) => isPaint(each.material.kind) && each.targetMg > 0);
  const [only] = paints;
  if (!only) return ingredients[0]?.material.colorHex ?? UNPAINTED;
  if (paints.length === 1) return only.material.colorHex;
  return mixColor(
    paints.map(({ material, targetMg }) => ({
      hex: material.colorHex,
      amount: targetMg,
      strength: material.tintingStrength,
    })),
  );
}
