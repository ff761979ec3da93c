import { inDisc, raster } from '../../testing/index.ts';
import { labelsWithoutEdges } from './labels.ts';
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

it('the middle line of a ring is its circle, 2 pi r', () => {
  const ring = raster(220, 220, (x, y) => {
    const far = Math.hypot(x - 110, y - 110);
    return far > 77 && far < 83 ? 1 : 0;
  });
  const length = skeletonLength(ring, 220, 220);
  expect(Math.abs(length / (2 * Math.PI * 80) - 1)).toBeLessThan(0.015);
});

describe('strokes of even width, at any angle', () => {
  const SIDE = 240;
  const bar = (angleDeg: number, stroke: number) => {
    const turn = (angleDeg * Math.PI) / 180;
    return raster(SIDE, SIDE, (x, y) => {
      const [dx, dy] = [x - 120.3, y - 119.7];
      const along = dx * Math.cos(turn) + dy * Math.sin(turn);
      const across = dy * Math.cos(turn) - dx * Math.sin(turn);
      return Math.abs(across) <= stroke / 2 && Math.abs(along) <= 90 ? 1 : 0;
    });
  };
  const offBy = (mask: Uint8Array, stroke: number) =>
    mask.reduce((sum, value) => sum + value, 0) / skeletonLength(mask, SIDE, SIDE) / stroke - 1;

  it.each([4, 5, 6, 8, 10, 13])(
    'of %d pixels read it within 3 %% in the mean and 8 %% at the worst',
    (stroke) => {
      const off = Array.from({ length: 13 }, (_, step) => offBy(bar(7.5 * step, stroke), stroke));
      expect(Math.abs(off.reduce((sum, each) => sum + each, 0) / off.length)).toBeLessThan(0.03);
      expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.08);
    },
  );

  it.each([4, 7, 13])('a ring of %d pixels reads it within 3 %%', (stroke) => {
    for (const radius of [20, 40, 80]) {
      const ring = raster(SIDE, SIDE, (x, y) =>
        Math.abs(Math.hypot(x - 120.3, y - 119.7) - radius) <= stroke / 2 ? 1 : 0,
      );
      expect(Math.abs(offBy(ring, stroke))).toBeLessThan(0.03);
    }
  });

  it('nothing has no line, a dot hardly one', () => {
    expect(skeletonLength(new Uint8Array(SIDE * SIDE), SIDE, SIDE)).toBe(0);
    const dot = raster(SIDE, SIDE, (x, y) => (inDisc(x, y, 120, 120, 4) ? 1 : 0));
    expect(skeletonLength(dot, SIDE, SIDE)).toBeLessThan(12);
  });
});
