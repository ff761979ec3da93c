import fc from 'fast-check';
import { raster } from '../../testing/index.ts';
import { componentsOf, despeckle } from './components.ts';

const [WIDTH, HEIGHT] = [9, 7];
const pictures = fc
  .array(fc.integer({ min: 0, max: 2 }), { minLength: WIDTH * HEIGHT, maxLength: WIDTH * HEIGHT })
  .map((labels) => Uint8Array.from(labels));

/** Patches by walking from pixel to pixel, as plainly as can be. */
function walked(labels: Uint8Array): number[] {
  const of = new Array<number>(labels.length).fill(-1);
  let patch = 0;
  for (let start = 0; start < labels.length; start += 1) {
    if (of[start] !== -1) continue;
    const stack = [start];
    of[start] = patch;
    while (stack.length > 0) {
      const pixel = stack.pop()!;
      const [x, y] = [pixel % WIDTH, Math.floor(pixel / WIDTH)];
      for (const [dx, dy] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const) {
        if (x + dx < 0 || x + dx >= WIDTH || y + dy < 0 || y + dy >= HEIGHT) continue;
        const next = (y + dy) * WIDTH + x + dx;
        if (of[next] !== -1 || labels[next] !== labels[pixel]) continue;
        of[next] = patch;
        stack.push(next);
      }
    }
    patch += 1;
  }
  return of;
}

it('patches are those of a walk from pixel to pixel (brute force)', () => {
  fc.assert(
    fc.property(pictures, (labels) => {
      const found = componentsOf(labels, WIDTH, HEIGHT);
      const wanted = walked(labels);
      const pairs = new Set(wanted.map((patch, pixel) => `${patch} ${found.of[pixel]}`));
      expect(pairs.size).toBe(found.count);
      expect(new Set(wanted).size).toBe(found.count);
      expect(found.area.reduce((sum, area) => sum + area, 0)).toBe(labels.length);
      labels.forEach((label, pixel) => expect(found.label[found.of[pixel]!]).toBe(label));
    }),
  );
});

describe('despeckling', () => {
  it('gives a speck to what surrounds it, and leaves what is large enough', () => {
    const labels = raster(20, 20, (x, y) => (x > 5 && x < 7 && y > 5 && y < 7 ? 1 : x > 12 ? 2 : 0));
    const changed = despeckle(labels, 20, 20, 5, 3);
    expect(changed).toBe(4);
    expect(labels).toEqual(raster(20, 20, (x) => (x > 12 ? 2 : 0)));
    expect(despeckle(labels, 20, 20, 5, 3)).toBe(0);
  });

  it('never makes up a label, and never adds patches', () => {
    fc.assert(
      fc.property(pictures, fc.integer({ min: 1, max: 12 }), (labels, least) => {
        const before = componentsOf(labels, WIDTH, HEIGHT).count;
        const known = new Set(labels);
        const after = Uint8Array.from(labels);
        despeckle(after, WIDTH, HEIGHT, least, 3);
        expect([...new Set(after)].every((label) => known.has(label))).toBe(true);
        expect(componentsOf(after, WIDTH, HEIGHT).count).toBeLessThanOrEqual(before);
      }),
    );
  });
});
