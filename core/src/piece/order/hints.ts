import { colorDifference } from '../../paint/color/index.ts';
import { windowFor, type Technique } from '../../paint/stage/index.ts';
import type { OrderLayer } from './rules.ts';
import { lightnessOf } from './tone.ts';

/** A strong contrast, in dE2000. */
const STRONG = 45;

/**
 * What could be added or left out rather than put in another order, in the trade's words (common practice,
 * no published source).
 *
 * @param baseHex the base the colors are laid on, if any
 */
export function orderHints(
  technique: Technique,
  layers: readonly OrderLayer[],
  baseHex: string | null = null,
): string[] {
  const colors = layers.filter(({ paint }) => paint.role === 'color' || paint.role === 'swipe');
  if (colors.length < 2) return [];
  const hints: string[] = [];
  if (technique === 'bloom') {
    const thick = colors.find(
      ({ paint }) => paint.viscosityPaS > (windowFor('bloom', 'color')?.thickPaS ?? 5),
    );
    if (thick) hints.push(`${thick.paint.name} is awkwardly thick: let it become part of the pillow.`);
    return hints;
  }
  const strongest = strongestContrast(colors);
  const last = colors.at(-1)!;
  if (strongest && last.paint.id !== strongest.paint.id) {
    hints.push(`Repeat ${strongest.paint.name} at the end: it contrasts most.`);
  }
  if (
    baseHex &&
    lightnessOf(baseHex) > 0.75 &&
    colors.every(({ paint }) => lightnessOf(paint.colorHex) < 0.7)
  ) {
    hints.push('Light touches of base inside the ribbon brighten it.');
  }
  return hints;
}

/** The color that differs most from all others. */
function strongestContrast(colors: readonly OrderLayer[]): OrderLayer | undefined {
  const mean = (one: OrderLayer) =>
    colors.reduce((sum, other) => sum + colorDifference(one.paint.colorHex, other.paint.colorHex), 0) /
    (colors.length - 1);
  const [best] = [...colors].sort((a, b) => mean(b) - mean(a));
  return best && mean(best) >= STRONG ? best : undefined;
}
