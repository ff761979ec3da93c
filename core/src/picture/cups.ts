import type { CupRole } from '../paint/stage/index.ts';
import { hexDistance } from '../paint/color/oklab.ts';

/** A color to look for, and the cup it came from. */
export interface CupColor {
  readonly name: string;
  readonly hex: string;
  readonly cupId: string | null;
}

export interface CupPalette {
  readonly palette: readonly CupColor[];
  readonly base: string;
  readonly activator: string | null;
}

/** Colors closer than this in OKLab cannot be told apart in a photo. */
const TOO_CLOSE = 0.035;
const GROUND: readonly CupRole[] = ['base', 'pillow'];
const SHEET: readonly CupRole[] = ['activator', 'swipe'];

/**
 * What to look for in the photo of a pour: its ground, its activator and its colors. Cups of the same color
 * become one; an activator that looks like the ground is left out, as no photo can tell it.
 */
export function paletteOfCups(
  cups: readonly {
    readonly id: string;
    readonly name: string;
    readonly role: CupRole;
    readonly colorHex: string;
  }[],
): CupPalette {
  const rank = (role: CupRole) => (GROUND.includes(role) ? 0 : SHEET.includes(role) ? 1 : 2);
  const ordered = cups.filter((cup) => cup.role !== 'medium').sort((a, b) => rank(a.role) - rank(b.role));
  const palette: CupColor[] = [];
  let activator: string | null = null;
  for (const cup of ordered) {
    if (palette.some((color) => hexDistance(color.hex, cup.colorHex) < TOO_CLOSE)) continue;
    const taken = palette.filter((color) => color.name === cup.name || color.name.startsWith(`${cup.name} `));
    const name = taken.length > 0 ? `${cup.name} ${taken.length + 1}` : cup.name;
    palette.push({ name, hex: cup.colorHex, cupId: cup.id });
    if (activator === null && SHEET.includes(cup.role)) activator = name;
  }
  return { palette, base: palette[0]?.name ?? '', activator };
}
