import { InputError } from '../base/error/index.ts';
import { hexOf, linearRgb, oklabInto } from '../paint/color/oklab.ts';
import type { MeasureInput, PaletteColor } from './photo.ts';

/** The colors that are looked for, as linear RGB and OKLab, three numbers each. */
export interface Seeds {
  readonly names: readonly string[];
  readonly rgb: Float32Array;
  readonly lab: Float32Array;
  readonly base: number;
  /** -1 without an activator. */
  readonly activator: number;
}

const MOST_COLORS = 24;
/** Closer than this in OKLab, two colors are one in a photo. */
const SAME = 0.017;

/**
 * @throws InputError naming the palette, the base or the activator when they do not fit together
 */
export function seedsOf(input: MeasureInput): Seeds {
  const { palette } = input;
  if (palette.length < 2) throw new InputError('palette', 'Give at least two colors to look for.');
  if (palette.length > MOST_COLORS) throw new InputError('palette', `Give at most ${MOST_COLORS} colors.`);
  const names = palette.map((color) => color.name);
  if (new Set(names).size < names.length) throw new InputError('palette', 'Give every color its own name.');
  const base = names.indexOf(input.base);
  if (base < 0) throw new InputError('base', `"${input.base}" is not in the palette.`);
  const activator = input.activator === undefined ? -1 : names.indexOf(input.activator);
  if (input.activator !== undefined && activator < 0) {
    throw new InputError('activator', `"${input.activator}" is not in the palette.`);
  }
  const seeds = fromRgb(
    names,
    Float32Array.from(palette.flatMap(({ hex }) => linearRgb(hex))),
    base,
    activator,
  );
  requireApart(seeds);
  return seeds;
}

/** Two seeds of one color would share it out by noise. */
function requireApart({ names, lab }: Seeds): void {
  for (let one = 0; one < names.length; one += 1) {
    for (let other = 0; other < one; other += 1) {
      const off = [0, 1, 2].map((channel) => lab[3 * one + channel]! - lab[3 * other + channel]!);
      if (Math.hypot(...off) < SAME) {
        throw new InputError(
          'palette',
          `"${names[other]}" and "${names[one]}" look alike in a photo: leave one of them out.`,
        );
      }
    }
  }
}

export function fromRgb(names: readonly string[], rgb: Float32Array, base: number, activator: number): Seeds {
  const lab = new Float32Array(rgb.length);
  for (let at = 0; at < rgb.length; at += 3) oklabInto(rgb[at]!, rgb[at + 1]!, rgb[at + 2]!, lab, at);
  return { names, rgb, lab, base, activator };
}

/** The seeds as they were found in the photo, to be shown and corrected. */
export function paletteOf(seeds: Seeds): PaletteColor[] {
  return seeds.names.map((name, index) => ({
    name,
    hex: hexOf(seeds.rgb[3 * index]!, seeds.rgb[3 * index + 1]!, seeds.rgb[3 * index + 2]!),
  }));
}

/** Where the nearest seed is found, and the square of its distance. */
export interface Nearest {
  seed: number;
  squared: number;
}

/** Fills `into` with the seed nearest to an OKLab color. */
export function nearestSeed(seeds: Seeds, l: number, a: number, b: number, into: Nearest): void {
  const { lab } = seeds;
  let best = 0;
  let least = Infinity;
  for (let at = 0, seed = 0; at < lab.length; at += 3, seed += 1) {
    const dl = l - lab[at]!;
    const da = a - lab[at + 1]!;
    const db = b - lab[at + 2]!;
    const squared = dl * dl + da * da + db * db;
    if (squared < least) {
      least = squared;
      best = seed;
    }
  }
  into.seed = best;
  into.squared = least;
}
