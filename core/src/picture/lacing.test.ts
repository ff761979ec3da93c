import { inDisc, raster } from '../../testing/index.ts';
import { labelsWithoutEdges } from './edges.ts';
import { lacingOf } from './lacing.ts';
import { skeletonLength } from './skeleton.ts';

const [SIZE, PX_PER_MM] = [400, 8];
const lacing = (labelAt: (x: number, y: number) => number) =>
  lacingOf(labelsWithoutEdges(raster(SIZE, SIZE, labelAt)), 1, SIZE, SIZE, PX_PER_MM);

it.each([4, 6, 9])('a net of strokes %d pixels wide has that width and the area of its strokes', (stroke) => {
  const mesh = 60;
  const net = lacing((x, y) => ((x + 30) % mesh < stroke || (y + 30) % mesh < stroke ? 1 : 0));
  const share = 1 - (1 - stroke / mesh) ** 2;
  expect(net.areaPx / SIZE ** 2 / share).toBeGreaterThan(0.9);
  expect(net.areaPx / SIZE ** 2 / share).toBeLessThan(1.1);
  expect(net.areaPx / net.lengthPx / stroke).toBeGreaterThan(0.88);
  expect(net.areaPx / net.lengthPx / stroke).toBeLessThan(1.12);
});

it('a broad sheet is no lacing, a stroke beside it is', () => {
  const net = lacing((x, y) => (inDisc(x, y, 120, 200, 80) || (x > 260 && x < 266) ? 1 : 0));
  expect(net.mask[200 * SIZE + 120]).toBe(0);
  expect(net.mask[200 * SIZE + 263]).toBe(1);
  expect(net.areaPx).toBeLessThan(6 * SIZE);
});

it('bits shorter than 8 mm are left out', () => {
  expect(lacing((x, y) => (Math.abs(y - 200) < 2 && Math.abs(x - 200) < 28 ? 1 : 0)).areaPx).toBe(0);
  expect(lacing((x, y) => (Math.abs(y - 200) < 2 && Math.abs(x - 200) < 36 ? 1 : 0)).areaPx).toBeGreaterThan(
    0,
  );
});

it('without an activator there is none', () => {
  const labels = labelsWithoutEdges(new Uint8Array(100));
  expect(lacingOf(labels, -1, 10, 10, 1)).toMatchObject({ areaPx: 0, lengthPx: 0 });
  expect(lacingOf(labels, 1, 10, 10, 1)).toMatchObject({ areaPx: 0, lengthPx: 0 });
});

it('the middle line of a ring is its circle, 2 pi r, and up to an eighth more', () => {
  const ring = raster(220, 220, (x, y) => {
    const far = Math.hypot(x - 110, y - 110);
    return far > 77 && far < 83 ? 1 : 0;
  });
  const length = skeletonLength(ring, 220, 220);
  // Steps of 1 and the root of 2 overrate slanted lines by up to 8 percent, stairs by more (common practice).
  expect(length / (2 * Math.PI * 80)).toBeGreaterThan(0.98);
  expect(length / (2 * Math.PI * 80)).toBeLessThan(1.125);
});
