import { seededRandom } from '../base/random/index.ts';
import { findLight, flatten, gainAt } from './light.ts';
import { linearRgb } from '../paint/color/oklab.ts';
import type { Face } from './rectify.ts';
import { seedsOf } from './seeds.ts';

const [WIDTH, HEIGHT] = [320, 240];
const HEXES = ['#efece6', '#1b1a1d', '#d8452f', '#2c7fb8'];
const SEEDS = seedsOf({
  widthMm: 80,
  heightMm: 60,
  corners: [] as never,
  palette: HEXES.map((hex, index) => ({ name: String(index), hex })),
  base: '0',
  activator: '1',
});

/** Blocks of four paints under a light whose logarithm is a quadratic of the place, with some noise. */
function lit(
  field: (x: number, y: number) => number,
  cast: readonly [number, number, number] = [1, 1, 1],
): Face {
  const random = seededRandom(4);
  const rgb = new Float32Array(WIDTH * HEIGHT * 3);
  for (let row = 0; row < HEIGHT; row += 1) {
    for (let column = 0; column < WIDTH; column += 1) {
      const paint = linearRgb(HEXES[(Math.floor(column / 40) + 2 * Math.floor(row / 40)) % 4]!);
      const light = Math.exp(field((2 * (column + 0.5)) / WIDTH - 1, (2 * (row + 0.5)) / HEIGHT - 1));
      for (let channel = 0; channel < 3; channel += 1) {
        rgb[3 * (row * WIDTH + column) + channel] =
          paint[channel]! * light * cast[channel]! * (1 + 0.01 * (random() - 0.5));
      }
    }
  }
  return {
    width: WIDTH,
    height: HEIGHT,
    pxPerMm: 4,
    photoPxPerMm: 4,
    rgb,
    clipped: new Uint8Array(WIDTH * HEIGHT),
    onFace: new Uint8Array(WIDTH * HEIGHT).fill(1),
  };
}

const PLACES = [
  [-0.9, -0.9],
  [0.9, -0.9],
  [0, 0],
  [-0.9, 0.9],
  [0.9, 0.9],
] as const;

it.each([
  ['even light', () => 0],
  ['half the light', () => Math.log(0.5)],
  ['brighter to the right', (x: number) => 0.3 * x],
  ['brighter to the top, darker in the middle', (x: number, y: number) => -0.25 * y + 0.15 * (x * x + y * y)],
  ['a fall from corner to corner', (x: number, y: number) => 0.2 * x + 0.2 * y - 0.1 * x * y],
])('%s is found within two percent', (_, field) => {
  const light = findLight(lit(field), SEEDS, [1, 1, 1]);
  for (const [x, y] of PLACES) {
    expect(Math.abs(gainAt(light.field, x, y) * Math.exp(field(x, y)) - 1)).toBeLessThan(0.02);
  }
});

it('a warm cast is found along with it, without a gray card', () => {
  const light = findLight(
    lit((x) => 0.2 * x, [1.12, 1, 0.86]),
    SEEDS,
    undefined,
  );
  const [red, green, blue] = light.gains;
  expect(red / green).toBeCloseTo(1 / 1.12, 1);
  expect(blue / green).toBeCloseTo(1 / 0.86, 1);
});

it('taken out, every paint has its color again', () => {
  const face = lit((x, y) => 0.3 * x - 0.1 * y);
  flatten(face, findLight(face, SEEDS, [1, 1, 1]));
  for (const [column, row] of [
    [20, 20],
    [300, 20],
    [20, 220],
    [60, 140],
  ] as const) {
    const wanted = linearRgb(HEXES[(Math.floor(column / 40) + 2 * Math.floor(row / 40)) % 4]!);
    for (let channel = 0; channel < 3; channel += 1) {
      const seen = face.rgb[3 * (row * WIDTH + column) + channel]!;
      expect(Math.abs(seen - wanted[channel]!)).toBeLessThan(0.02);
    }
  }
});
