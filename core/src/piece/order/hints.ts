import { colorDifference } from '../../paint/color/index.ts';
import { windowFor, type Technique } from '../../paint/stage/index.ts';
import type { OrderLayer } from './rules.ts';
import { lightnessOf } from './tone.ts';

/** What could be done; `web/words/order` says it. */
export type OrderHint =
  | { readonly code: 'into-the-pillow'; readonly name: string }
  | { readonly code: 'repeat-at-the-end'; readonly name: string }
  | { readonly code: 'touches-of-base' };

/** A strong contrast, in dE2000. */
const STRONG = 45;

/**
 * What could be added or left out rather than put in another order, the trade's rules (common practice,
 * no published source).
 *
 * @param baseHex the base the colors are laid on, if any
 */
export function orderHints(
  technique: Technique,
  layers: readonly OrderLayer[],
  baseHex: string | null = null,
): OrderHint[] {
  const colors = layers.filter(({ paint }) => paint.role === 'color' || paint.role === 'swipe');
  if (colors.length < 2) return [];
  const hints: OrderHint[] = [];
  if (technique === 'bloom') {
    const thick = colors.find(
      ({ paint }) => paint.viscosityPaS > (windowFor('bloom', 'color')?.thickPaS ?? 5),
    );
    if (thick) hints.push({ code: 'into-the-pillow', name: thick.paint.name });
    return hints;
  }
  const strongest = strongestContrast(colors);
  const last = colors.at(-1)!;
  if (strongest && last.paint.id !== strongest.paint.id) {
    hints.push({ code: 'repeat-at-the-end', name: strongest.paint.name });
  }
  if (
    baseHex &&
    lightnessOf(baseHex) > 0.75 &&
    colors.every(({ paint }) => lightnessOf(paint.colorHex) < 0.7)
  ) {
    hints.push({ code: 'touches-of-base' });
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
