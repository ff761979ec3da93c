import { converter, parse } from 'culori';
import fc from 'fast-check';
import { componentsOf } from './components.ts';
import { paletteOfCups } from './cups.ts';
import { inverseOf, project, rectangleTo } from './homography.ts';
import { hexOf, linearRgb, oklabInto } from '../paint/color/oklab.ts';
import { grown, opened, squaredDistances } from './raster.ts';
import { maskOfRuns } from './report.ts';
import { skeletonLength } from './skeleton.ts';
import { shapesOf } from './shape.ts';
import { labelsWithoutEdges } from './labels.ts';
import { findCorners, measurePhoto, type Corners, type PhotoPixels } from './index.ts';

jest.setTimeout(90_000);

const CORNERS: Corners = [
  [10, 20],
  [205, 12],
  [220, 160],
  [4, 150],
];

describe('seen from straight above', () => {
  it('corners go to corners, and back', () => {
    const map = rectangleTo(CORNERS, 300, 200);
    const back = inverseOf(map);
    const rectangle = [
      [0, 0],
      [300, 0],
      [300, 200],
      [0, 200],
    ] as const;
    rectangle.forEach(([x, y], index) => {
      const [u, v] = project(map, x, y);
      expect(u).toBeCloseTo(CORNERS[index]![0], 6);
      expect(v).toBeCloseTo(CORNERS[index]![1], 6);
      expect(project(back, u, v)[0]).toBeCloseTo(x, 5);
    });
  });

  it('corners that do not go round are refused', () => {
    const [a, b, c, d] = CORNERS;
    expect(() => rectangleTo([a, c, b, d], 1, 1)).toThrow(expect.objectContaining({ field: 'corners' }));
    expect(() => rectangleTo([d, c, b, a], 1, 1)).toThrow(/top left/);
  });
});

it('OKLab agrees with a reference library (culori)', () => {
  const oklab = converter('oklab');
  const out = new Float32Array(3);
  for (const hex of ['#ffffff', '#000000', '#1f5fa8', '#c6357a', '#e3a42b', '#17161a', '#7f7f7f']) {
    oklabInto(...linearRgb(hex), out, 0);
    const wanted = oklab(parse(hex))!;
    expect(out[0]).toBeCloseTo(wanted.l, 3);
    expect(out[1]).toBeCloseTo(wanted.a, 3);
    expect(out[2]).toBeCloseTo(wanted.b, 3);
    expect(hexOf(...linearRgb(hex))).toBe(hex);
  }
});

const disc = (size: number, radius: number) =>
  Uint8Array.from({ length: size * size }, (_, pixel) =>
    Math.hypot((pixel % size) - size / 2 + 0.5, Math.floor(pixel / size) - size / 2 + 0.5) <= radius ? 1 : 0,
  );

describe('masks', () => {
  it('distances are exact: brute force agrees', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 63, maxLength: 63 }), (values) => {
        const mask = Uint8Array.from(values, (value) => (value > 0 ? 1 : 0));
        if (!mask.includes(0)) return;
        const found = squaredDistances(mask, 9, 7);
        for (let pixel = 0; pixel < 63; pixel += 1) {
          let least = Infinity;
          for (let other = 0; other < 63; other += 1) {
            if (mask[other]) continue;
            const dx = (pixel % 9) - (other % 9);
            const dy = Math.floor(pixel / 9) - Math.floor(other / 9);
            least = Math.min(least, dx * dx + dy * dy);
          }
          expect(found[pixel]).toBe(least);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('opening takes a thin line away and leaves a disc', () => {
    const mask = disc(41, 12);
    for (let x = 0; x < 41; x += 1) mask[20 * 41 + x] = 1;
    const left = opened(mask, 41, 41, 4);
    expect(left[20 * 41 + 1]).toBe(0);
    expect(left[20 * 41 + 20]).toBe(1);
  });

  it('growing by nothing changes nothing', () => {
    expect(grown(disc(21, 6), 21, 21, 0)).toEqual(disc(21, 6));
  });

  it('runs become the mask again', () => {
    expect([...maskOfRuns([2, 3, 1], 6)]).toEqual([0, 0, 1, 1, 1, 0]);
  });
});

it('patches of one label are told apart, and corners do not join them', () => {
  const labels = Uint8Array.from([1, 1, 0, 1, 0, 0, 0, 0, 1, 1, 0, 0, 1, 0, 1, 1]);
  const { count, area, label } = componentsOf(labels, 4, 4);
  expect(count).toBe(6);
  expect([...area].reduce((sum, value) => sum + value, 0)).toBe(16);
  expect([...label].filter((each) => each === 1)).toHaveLength(4);
});

it('the outline of a disc is 2 pi r within two percent (Cauchy-Crofton)', () => {
  const labels = disc(121, 45);
  const patches = componentsOf(labels, 121, 121);
  const inside = [...patches.label].indexOf(1);
  const shapes = shapesOf(patches, labelsWithoutEdges(labels), 121, 121, 2, new Uint8Array(labels.length));
  expect(shapes.perimeter[inside]! / (2 * Math.PI * 45)).toBeGreaterThan(0.98);
  expect(shapes.perimeter[inside]! / (2 * Math.PI * 45)).toBeLessThan(1.02);
});

it('a stroke of 5 by 100 pixels has a middle line of nearly 100', () => {
  const mask = new Uint8Array(120 * 20);
  for (let y = 8; y < 13; y += 1) for (let x = 10; x < 110; x += 1) mask[y * 120 + x] = 1;
  const length = skeletonLength(mask, 120, 20);
  expect(length).toBeGreaterThan(93);
  expect(length).toBeLessThan(101);
});

/** A face of two colors with round cells on it, seen straight from above on a brown table. */
function simplePhoto(): { photo: PhotoPixels; corners: Corners } {
  const [width, height] = [520, 420];
  const data = new Uint8Array(width * height * 3);
  const put = (pixel: number, hex: string) => {
    for (let channel = 0; channel < 3; channel += 1) {
      data[3 * pixel + channel] = Number.parseInt(hex.slice(1 + 2 * channel, 3 + 2 * channel), 16);
    }
  };
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      const [u, v] = [x - 60, y - 60];
      if (u < 0 || v < 0 || u >= 400 || v >= 300) put(pixel, '#6f5138');
      else if (u < 200) put(pixel, '#f0eee8');
      else {
        const near = Math.hypot(((u - 200) % 50) - 25, (v % 50) - 25);
        put(pixel, near <= 10 ? '#d8452f' : '#1f5fa8');
      }
    }
  }
  const corners: Corners = [
    [60, 60],
    [460, 60],
    [460, 360],
    [60, 360],
  ];
  return { photo: { widthPx: width, heightPx: height, channels: 3, data }, corners };
}

describe('a photo that is known', () => {
  const { photo, corners } = simplePhoto();
  const input = {
    corners,
    widthMm: 80,
    heightMm: 60,
    palette: [
      { name: 'white', hex: '#f0eee8' },
      { name: 'blue', hex: '#1f5fa8' },
      { name: 'red', hex: '#d8452f' },
    ],
    base: 'white',
  };
  const measured = measurePhoto(photo, input);

  it('half of it is base, and 24 cells of 4 mm are found', () => {
    expect(measured.negativeSpace).toBeCloseTo(0.5, 2);
    expect(measured.cells.count).toBe(24);
    expect(measured.cells.medianMm).toBeGreaterThan(3.9);
    expect(measured.cells.medianMm).toBeLessThan(4.2);
    expect(measured.mud).toBe(0);
  });

  it('shares come to one', () => {
    const sum = Object.values(measured.shares).reduce((a, b) => a + b, 0);
    expect(sum + measured.mud).toBeCloseTo(1, 6);
  });

  it('its corners are found to a pixel', () => {
    const found = findCorners(photo);
    expect(found.isSure).toBe(true);
    found.corners.forEach(([x, y], index) => {
      expect(Math.hypot(x - corners[index]![0], y - corners[index]![1])).toBeLessThan(1.5);
    });
  });

  it('a photo of nothing but table is not taken for a support', () => {
    const table = { ...photo, data: new Uint8Array(photo.data.length).fill(90) };
    expect(findCorners(table).isSure).toBe(false);
  });

  it.each([
    [{ base: 'sky' }, 'base'],
    [{ activator: 'sky' }, 'activator'],
    [{ palette: input.palette.slice(0, 1) }, 'palette'],
    [{ palette: [...input.palette, input.palette[0]!] }, 'palette'],
  ])('%j is refused at %s', (changes, field) => {
    expect(() => measurePhoto(photo, { ...input, ...changes })).toThrow(expect.objectContaining({ field }));
  });
});

it('cups become the palette: ground first, look-alikes once, an activator like the ground left out', () => {
  const cup = (id: string, role: 'color' | 'pillow' | 'activator' | 'medium', colorHex: string) => ({
    id,
    name: id,
    role,
    colorHex,
  });
  const found = paletteOfCups([
    cup('rust', 'color', '#9c4a2c'),
    cup('white', 'pillow', '#f2f0ea'),
    cup('cream', 'activator', '#f0eee8'),
    cup('medium', 'medium', '#123456'),
    cup('rain', 'color', '#6f93a8'),
  ]);
  expect(found.palette.map(({ name }) => name)).toEqual(['white', 'rust', 'rain']);
  expect(found).toMatchObject({ base: 'white', activator: null });
});
