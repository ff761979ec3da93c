import fc from 'fast-check';
import { cropBench, findCrops, judgeCrop, overlap, type CropGround } from './index.ts';

const SIZE = 120;
/** A face of base with a flower of two colors at its right, mud at its left. */
function ground(changes: Partial<CropGround> = {}): CropGround {
  const labels = new Uint8Array(SIZE * SIZE);
  const net = new Uint8Array(SIZE * SIZE);
  const mud = new Uint8Array(SIZE * SIZE);
  for (let y = 0; y < SIZE; y += 1) {
    for (let x = 0; x < SIZE; x += 1) {
      const at = y * SIZE + x;
      if (Math.hypot(x - 82, y - 60) < 26) {
        labels[at] = 1 + ((x >> 2) % 2);
        net[at] = (x + y) % 5 === 0 ? 1 : 0;
      }
      if (Math.hypot(x - 20, y - 60) < 14) mud[at] = 1;
    }
  }
  const face = { width: SIZE, height: SIZE, pxPerMm: 0.5, labels, colors: 3, base: 0 };
  return {
    face,
    cells: [],
    masks: { widthPx: SIZE, heightPx: SIZE, net, mud },
    faults: [],
    shape: 'rectangle',
    ...changes,
  };
}

describe('the best parts of a face', () => {
  it('hold the flower and leave the mud out', () => {
    const [best] = findCrops(cropBench(ground()), 1);
    const { x, y, width, height } = best!.part;
    expect(x + width / 2).toBeGreaterThan(0.5);
    expect(best!.criteria.mud).toBeGreaterThan(0.95);
    expect(x).toBeLessThan(82 / SIZE);
    expect(y + height).toBeGreaterThan(0.5);
  });

  it('a fault that is pinned inside drives them elsewhere', () => {
    const clean = findCrops(cropBench(ground()), 1)[0]!;
    const at = { x: clean.part.x + clean.part.width / 2, y: clean.part.y + clean.part.height / 2 };
    const bench = cropBench(ground({ faults: [at] }));
    expect(judgeCrop(bench, clean.part).criteria.faults).toBeLessThan(1);
    expect(judgeCrop(bench, clean.part).score).toBeLessThan(clean.score);
  });

  it('a cell on the edge is cut', () => {
    const cell = { xMm: 120, yMm: 120, diameterMm: 10 };
    const bench = cropBench(ground({ cells: [cell] }));
    const inside = judgeCrop(bench, { x: 0.3, y: 0.3, width: 0.4, height: 0.4 });
    const cut = judgeCrop(bench, { x: 0.5, y: 0.3, width: 0.4, height: 0.4 });
    expect(inside.criteria.uncut).toBeGreaterThan(cut.criteria.uncut);
  });

  it('of a round piece, a part that reaches over its rim is no part', () => {
    const bench = cropBench(ground({ shape: 'round' }));
    expect(judgeCrop(bench, { x: 0, y: 0, width: 0.4, height: 0.4 }).criteria.faults).toBe(0);
    expect(findCrops(bench, 1)[0]!.criteria.faults).toBe(1);
  });

  it('have the ratio that was asked for, lie on the face, and are no two the same (property)', () => {
    const bench = cropBench(ground());
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 2.5, noNaN: true }), (ratio) => {
        const crops = findCrops(bench, ratio);
        expect(crops.length).toBeGreaterThan(0);
        for (const [index, { part, score }] of crops.entries()) {
          const found = part.width / part.height;
          expect(Math.min(Math.abs(found - ratio), Math.abs(found - 1 / ratio))).toBeLessThan(1e-9);
          expect(part.x + part.width).toBeLessThanOrEqual(1 + 1e-9);
          expect(part.y + part.height).toBeLessThanOrEqual(1 + 1e-9);
          expect(score).toBeGreaterThanOrEqual(0);
          expect(score).toBeLessThanOrEqual(1);
          for (const other of crops.slice(index + 1)) expect(overlap(part, other.part)).toBeLessThan(0.5);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('a ratio of 0 says what to change', () => {
    expect(() => findCrops(cropBench(ground()), 0)).toThrow(expect.objectContaining({ field: 'ratio' }));
  });
});
