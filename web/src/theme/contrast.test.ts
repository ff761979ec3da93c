import { describe, expect, it } from '@jest/globals';
import { CELL_SIZES, DARK, LIGHT, ON_PHOTO, type Palette } from './tokens.ts';

/** Relative luminance of an sRGB color. Source: WCAG 2.2, "relative luminance". */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast of two colors, 1 to 21. Source: WCAG 2.2, "contrast ratio". */
function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

const GROUNDS: readonly (keyof Palette)[] = ['paper', 'bench', 'ice'];
const TEXT: readonly (keyof Palette)[] = ['ink', 'inkSoft', 'water', 'brassInk', 'alarm'];
const MARKS: readonly (keyof Palette)[] = ['edge', 'water', 'ink', 'alarm'];

it('agrees with the ratios that the standard names', () => {
  expect(contrast('#ffffff', '#000000')).toBeCloseTo(21, 5);
  // "#777777 on white is 4.48": the usual example of text that just fails.
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});

describe.each([
  ['light', LIGHT],
  ['dark', DARK],
] as const)('%s', (_, palette) => {
  it.each(TEXT.flatMap((text) => GROUNDS.map((ground) => [text, ground] as const)))(
    'text in %s reads on %s (4.5 to 1, WCAG 1.4.3)',
    (text, ground) => {
      expect(contrast(palette[text], palette[ground])).toBeGreaterThanOrEqual(4.5);
    },
  );

  it.each(MARKS.flatMap((mark) => GROUNDS.map((ground) => [mark, ground] as const)))(
    'edges and marks in %s show on %s (3 to 1, WCAG 1.4.11)',
    (mark, ground) => {
      expect(contrast(palette[mark], palette[ground])).toBeGreaterThanOrEqual(3);
    },
  );

  it('shows text and soft text on the darker stretches of a drawing', () => {
    expect(contrast(palette.ink, palette.iceDeep)).toBeGreaterThanOrEqual(4.5);
  });

  it('reads on the next action and on water', () => {
    expect(contrast(palette.onBrass, palette.brass)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.onWater, palette.water)).toBeGreaterThanOrEqual(4.5);
  });

  it('tells the next action from the ground it lies on, by itself or by its text', () => {
    expect(contrast(palette.onBrass, palette.brass)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.brassInk, palette.bench)).toBeGreaterThanOrEqual(4.5);
  });
});

describe('over a photo', () => {
  it('a light line in a dark one shows on any paint: one of the two is always 3 to 1', () => {
    for (let gray = 0; gray < 256; gray += 1) {
      const paint = `#${gray.toString(16).padStart(2, '0').repeat(3)}`;
      const best = Math.max(contrast(ON_PHOTO.line, paint), contrast(ON_PHOTO.edge, paint));
      expect(best).toBeGreaterThanOrEqual(3);
    }
  });

  it('signs read on their ground', () => {
    expect(contrast(ON_PHOTO.line, ON_PHOTO.sign)).toBeGreaterThanOrEqual(4.5);
  });

  it('cell sizes follow each other in lightness, from pale to deep, up to the brass', () => {
    const waters = CELL_SIZES.slice(0, 4).map(luminance);
    waters.slice(1).forEach((light, index) => expect(light).toBeLessThan(waters[index]! / 1.3));
  });
});
