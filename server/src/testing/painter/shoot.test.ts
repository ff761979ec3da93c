import { linearRgb, measurePhoto, rectangleTo, project } from '@icy-ribbon/core/picture';
import { seededRandom } from '@icy-ribbon/core/base/random';
import { blurred } from '../../standin/camera/blur.ts';
import { layered, valueNoise } from '../../standin/camera/noise.ts';
import { paintScene } from './paint.ts';
import type { Scene } from './scene.ts';
import { casualShot, PLAIN_SHOT, shoot, type Shot } from '../../standin/camera/shoot.ts';

jest.setTimeout(60_000);

const scene: Scene = {
  seed: 2,
  style: 'bloom',
  shape: 'rectangle',
  widthMm: 80,
  heightMm: 60,
  baseHex: '#17161a',
  activatorHex: '#ece9e2',
  colorHexes: ['#1f5fa8', '#c6357a'],
  petals: 4,
  reach: 0.7,
  cellMedianMm: 2.6,
  cellsPerCm2: 2,
  lacingWidthMm: 0.7,
  netShare: 0.5,
  mud: 0,
};
const painting = paintScene(scene, 6);
const PLAIN: Shot = {
  ...PLAIN_SHOT,
  seed: 1,
  megapixels: 0.25,
  glare: 0,
  blurPx: 0,
  noise: 0,
  light: 0,
  cast: 0,
};
const taken = (changes: Partial<Shot> = {}) => shoot(painting, { ...PLAIN, ...changes });
const colorAt = (photo: ReturnType<typeof shoot>, x: number, y: number) => {
  const at = 3 * (Math.round(y) * photo.widthPx + Math.round(x));
  return [...photo.pixels.subarray(at, at + 3)];
};

describe('a photo', () => {
  it('has the size that was asked for, and lies across as the piece does', () => {
    const { widthPx, heightPx, pixels } = taken();
    expect(widthPx * heightPx).toBeGreaterThan(0.24e6);
    expect(widthPx * heightPx).toBeLessThan(0.26e6);
    expect(widthPx).toBeGreaterThan(heightPx);
    expect(pixels).toHaveLength(3 * widthPx * heightPx);
  });

  it('is the same for the same shot, another for another', () => {
    expect(taken().pixels).toEqual(taken().pixels);
    expect(taken({ seed: 9 }).corners).not.toEqual(taken().corners);
  });

  it('shows the base just inside its corners and the table just outside', () => {
    const photo = taken();
    const map = rectangleTo(photo.corners, scene.widthMm, scene.heightMm);
    for (const [x, y] of [
      [2, 2],
      [78, 2],
      [78, 58],
      [2, 58],
    ] as const) {
      const inside = colorAt(photo, ...(project(map, x, y) as [number, number]));
      expect(Math.max(...inside)).toBeLessThan(60);
    }
    const outside = colorAt(photo, ...(project(map, 40, -3) as [number, number]));
    expect(outside[0]).toBeGreaterThan(outside[2]!);
    expect(outside[0]).toBeGreaterThan(60);
  });

  it('shows the gray card gray, and a cast on it', () => {
    const cardOf = (photo: ReturnType<typeof shoot>) => {
      const [left, top, right, bottom] = photo.grayPatchMm;
      const map = rectangleTo(photo.corners, scene.widthMm, scene.heightMm);
      return colorAt(photo, ...(project(map, (left + right) / 2, (top + bottom) / 2) as [number, number]));
    };
    const [r, g, b] = cardOf(taken()) as [number, number, number];
    expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThanOrEqual(2);
    const [warmR, , warmB] = cardOf(taken({ cast: 0.2 })) as [number, number, number];
    expect(warmR).toBeGreaterThan(warmB + 20);
  });

  it.each([
    ['noise', { noise: 6 }],
    ['glare', { glare: 6 }],
    ['a veil', { veil: 0.2 }],
    ['uneven light', { light: 0.4 }],
    ['sharpening', { sharpen: 1, blurPx: 1 }],
    ['a contrast curve', { tone: 0.6 }],
  ])('%s changes it', (_, changes) => {
    expect(taken(changes).pixels).not.toEqual(taken().pixels);
  });

  it('a blur is measured as wide as it was made', () => {
    const blurOf = (blurPx: number) => {
      const { widthPx, heightPx, pixels, corners } = taken({ blurPx, megapixels: 1 });
      const palette = [scene.baseHex, scene.activatorHex, ...scene.colorHexes].map((hex, index) => ({
        name: String(index),
        hex,
      }));
      const input = { corners, widthMm: 80, heightMm: 60, palette, base: '0', activator: '1' };
      return measurePhoto({ widthPx, heightPx, channels: 3, data: pixels }, input).quality.blurPx;
    };
    expect(blurOf(2.5)).toBeGreaterThan(1.5);
    expect(blurOf(2.5)).toBeLessThan(4);
    expect(blurOf(0.5)).toBeLessThan(1.2);
  });

  it('as a person takes it, lies within what can be measured', () => {
    for (let seed = 1; seed < 40; seed += 1) {
      const { askew, light, blurPx, cast } = casualShot(seed, 2);
      expect([askew > 0 && askew <= 1, light < 0.31, blurPx < 1, Math.abs(cast) < 0.35]).toEqual(
        new Array(4).fill(true),
      );
    }
  });
});

describe('the lens', () => {
  it('spreads a point into a Gaussian of that spread, and loses no light', () => {
    const [size, spread] = [61, 3];
    const point = new Float32Array(size * size);
    point[30 * size + 30] = 1;
    const out = blurred(point, size, size, spread);
    let sum = 0;
    let squares = 0;
    out.forEach((value, pixel) => {
      sum += value;
      squares += value * ((pixel % size) - 30) ** 2;
    });
    expect(sum).toBeCloseTo(1, 2);
    expect(Math.sqrt(squares / sum)).toBeGreaterThan(0.85 * spread);
    expect(Math.sqrt(squares / sum)).toBeLessThan(1.15 * spread);
  });

  it('that is sharp changes nothing', () => {
    const plane = Float32Array.from({ length: 25 }, (_, index) => index);
    expect([...blurred(plane, 5, 5, 0)]).toEqual([...plane]);
  });
});

describe('grain', () => {
  const field = layered(valueNoise(4));

  it('lies between 0 and 1, the same at the same place', () => {
    const random = seededRandom(1);
    for (let look = 0; look < 500; look += 1) {
      const [x, y] = [100 * random() - 50, 100 * random() - 50];
      const value = field(x, y);
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThanOrEqual(1);
      expect(field(x, y)).toBe(value);
    }
  });

  it('is smooth: close places are alike', () => {
    for (let step = 0; step < 100; step += 1) {
      expect(Math.abs(field(step / 7, 3) - field(step / 7 + 0.01, 3))).toBeLessThan(0.05);
    }
  });
});

it('paints colors as they were given', () => {
  const wanted = linearRgb(scene.baseHex);
  for (let channel = 0; channel < 3; channel += 1) {
    expect(painting.rgb[channel]).toBeCloseTo(wanted[channel]!, 2);
  }
});
