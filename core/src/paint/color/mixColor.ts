import { Color, mix } from 'spectral.js';
import { InputError } from '../../base/error/index.ts';

/** A paint of a mixture: how much of it, and how strongly it tints; 1 is as strong as most. */
export interface ColorPart {
  readonly hex: string;
  readonly amount: number;
  readonly strength?: number | null | undefined;
}

/** A paint's color for mixing, with its tinting strength. */
export function tinting(hex: string, strength: number | null | undefined): Color {
  const color = new Color(hex);
  color.tintingStrength = strength ?? 1;
  return color;
}

/**
 * The color of paints stirred together, by Kubelka-Munk (1931) on reflectance curves rebuilt from sRGB,
 * as the library spectral.js does it. An estimate: it knows nothing of the pigments behind a color.
 *
 * @param parts colors as #rrggbb with amounts of 0 or more, at least one above 0
 * @returns the mixture as #rrggbb, lower case
 * @throws InputError naming "parts"
 * @example mixColor([{ hex: '#1d3f86', amount: 1 }, { hex: '#f0b429', amount: 1 }]) // '#638e42'
 */
export function mixColor(parts: readonly ColorPart[]): string {
  const present = parts.filter((part) => part.amount > 0);
  if (present.length === 0) throw new InputError('parts', 'A color needs at least one part above 0.');
  const mixed = mix(...present.map(({ hex, amount, strength }) => [tinting(hex, strength), amount] as const));
  return mixed.toString().toLowerCase();
}
