import { Color, mix } from 'spectral.js';
import { InputError } from '../../base/error/index.ts';

/**
 * The color of paints stirred together, by Kubelka-Munk (1931) on reflectance curves rebuilt from sRGB,
 * as the library spectral.js does it. An estimate: it knows nothing of the pigments behind a color.
 *
 * @param parts colors as #rrggbb with amounts of 0 or more, at least one above 0
 * @returns the mixture as #rrggbb, lower case
 * @throws InputError naming "parts"
 * @example mixColor([{ hex: '#1d3f86', amount: 1 }, { hex: '#f0b429', amount: 1 }]) // '#638e42'
 */
export function mixColor(parts: readonly { readonly hex: string; readonly amount: number }[]): string {
  const present = parts.filter((part) => part.amount > 0);
  if (present.length === 0) throw new InputError('parts', 'A color needs at least one part above 0.');
  const mixed = mix(...present.map((part) => [new Color(part.hex), part.amount] as const));
  return mixed.toString().toLowerCase();
}
