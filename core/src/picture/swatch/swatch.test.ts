import { ring } from '../../../testing/index.ts';
import { gaussian, seededRandom, type Random } from '../../base/random/index.ts';
import { colorDifference } from '../../paint/color/index.ts';
import { byteOf, hexOf, linearRgb } from '../../paint/color/oklab.ts';
import type { PhotoPixels, Point } from '../photo.ts';
import { swatchColor } from './index.ts';

const [WIDE, HIGH] = [480, 360];
const GRAY = ((50 + 16) / 116) ** 3;

interface Taken {
  readonly photo: PhotoPixels;
  readonly hex: string;
  readonly at: Point;
  readonly card: readonly Point[];
}

/** A color and a gray card under a lamp of some color that falls off, taken by a camera that bends light and mixes channels a little: invented. */
function taken(random: Random, far = 60 + 80 * random()): Taken {
  const between = (low: number, high: number) => low + (high - low) * random();
  const hex = hexOf(between(0.02, 0.75), between(0.02, 0.75), between(0.02, 0.75));
  const color = linearRgb(hex);
  const at: Point = [between(170, 300), between(140, 220)];
  const angle = between(0, 2 * Math.PI);
  const way = [Math.cos(angle), Math.sin(angle)] as const;
  const place = (side: number): Point => [
    Math.min(WIDE - 20, Math.max(20, at[0] + side * far * way[0])),
    Math.min(HIGH - 20, Math.max(20, at[1] + side * far * way[1])),
  ];
  const card = [place(1), place(-1)];
  const cast = [between(0.75, 1.2), 1, between(0.7, 1.15)];
  const exposure = between(0.75, 1.05);
  const [fallX, fallY] = [between(-0.25, 0.25), between(-0.25, 0.25)];
  const curve = 1 + 0.06 * gaussian(random);
  // Rows add up to nothing, so that gray stays gray.
  const mix = [0, 1, 2].map((row) => {
    const [a, b] = [0.04 * gaussian(random), 0.04 * gaussian(random)];
    return [0, 1, 2].map((column) => (column === row ? 1 - a - b : column === (row + 1) % 3 ? a : b));
  });
  const shine = [at[0] + between(-6, 6), at[1] + between(-6, 6)] as const;
  const data = new Uint8Array(3 * WIDE * HIGH);
  for (let y = 0; y < HIGH; y += 1) {
    for (let x = 0; x < WIDE; x += 1) {
      const isCard = card.some(([cx, cy]) => Math.abs(x - cx) < 14 && Math.abs(y - cy) < 14);
      const isColor = Math.hypot(x - at[0], y - at[1]) < 24;
      // The table is not looked at.
      if (!isCard && !isColor) continue;
      const surface = isCard ? [GRAY, GRAY, GRAY] : color;
      const seen = mix.map((row) => row.reduce((sum, share, channel) => sum + share * surface[channel]!, 0));
      const light = exposure * Math.exp(fallX * (x / WIDE - 0.5) + fallY * (y / HIGH - 0.5));
      const isShine = Math.hypot(x - shine[0], y - shine[1]) < 1.6;
      seen.forEach((value, channel) => {
        const lit = Math.max(0, value) * light * cast[channel]!;
        const bent = GRAY * (lit / GRAY) ** curve;
        data[3 * (y * WIDE + x) + channel] = Math.max(
          0,
          Math.min(255, byteOf(isShine ? 1 : bent) + 2 * gaussian(random)),
        );
      });
    }
  }
  return { photo: { widthPx: WIDE, heightPx: HIGH, channels: 3, data }, hex, at, card };
}

it.each([
  ['one place on the card', 1],
  ['two places on the card', 2],
])('nine of ten unseen colors lie within what is claimed, with %s', (_, places) => {
  const random = seededRandom(11);
  const claims = Array.from({ length: ring(40, 100) }, () => {
    const { photo, hex, at, card } = taken(random);
    const found = swatchColor(photo, { card: card.slice(0, places), cardLightness: 50, at });
    return { off: colorDifference(found.hex, hex), withinDe: found.withinDe };
  });
  const within = claims.filter(({ off, withinDe }) => off <= withinDe).length / claims.length;
  expect(within).toBeGreaterThanOrEqual(0.85);
  // A range that holds everything tells nothing.
  expect(within).toBeLessThan(1);
});

it('a second place on the card takes out what the lamp does between them', () => {
  const random = seededRandom(4);
  const off = [0, 0];
  for (let picture = 0; picture < 25; picture += 1) {
    const { photo, hex, at, card } = taken(random, 120);
    [1, 2].forEach((places, index) => {
      const found = swatchColor(photo, { card: card.slice(0, places), cardLightness: 50, at });
      off[index]! += colorDifference(found.hex, hex);
    });
  }
  expect(off[1]!).toBeLessThan(off[0]!);
});

describe('what a picture does not carry', () => {
  const { photo, at, card } = taken(seededRandom(9), 60);
  const near = [card[0]!];
  const painted = (rgb: readonly number[], [x, y]: Point, reach: number): PhotoPixels => {
    const data = Uint8Array.from(photo.data);
    for (let row = Math.floor(y - reach); row <= y + reach; row += 1) {
      for (let column = Math.floor(x - reach); column <= x + reach; column += 1) {
        rgb.forEach((value, channel) => (data[3 * (row * WIDE + column) + channel] = value));
      }
    }
    return { ...photo, data };
  };
  const asked = (given: PhotoPixels, changed: object = {}) =>
    swatchColor(given, { card: near, cardLightness: 50, at, ...changed });

  it('no card, a lightness that no card has, a place outside: what to do is said', () => {
    expect(() => asked(photo, { card: [] })).toThrow('Click the gray card.');
    expect(() => asked(photo, { cardLightness: 5 })).toThrow('between 20 and 97');
    expect(() => asked(photo, { at: [-50, 10] })).toThrow('Click the color in the picture.');
  });

  it('a card or a color that is full, a dark card, the edge of a card', () => {
    expect(() => asked(painted([255, 255, 255], near[0]!, 8))).toThrow('The gray card is too bright');
    expect(() => asked(painted([255, 254, 253], at, 8))).toThrow('The color is too bright');
    expect(() => asked(painted([12, 12, 12], near[0]!, 8))).toThrow('The gray card is too dark');
    const edge = painted([210, 210, 210], [near[0]![0] + 6, near[0]![1]], 6);
    expect(() => asked(edge)).toThrow('click well inside it');
  });

  it('colored light, a far card and an uneven color are said', () => {
    const codes = (given: PhotoPixels, changed: object = {}) =>
      asked(given, changed).warnings.map(({ code }) => code);
    expect(codes(painted([200, 120, 60], near[0]!, 8))).toContain('cast');
    expect(codes(painted([118, 117, 119], [20, 340], 8), { card: [[20, 340]] })).toContain('far');
    expect(codes(painted([20, 200, 90], [at[0] + 6, at[1]], 5))).toContain('uneven');
  });
});
