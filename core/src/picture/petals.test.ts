import { raster } from '../../testing/index.ts';
import { flowerMask, petalsOf } from './petals.ts';

const [SIZE, PX_PER_MM] = [400, 2];

/** A flower with this many petals: its outline swings by a share of its radius. */
const flower = (petals: number, radius: number, swing: number, at: readonly [number, number] = [200, 200]) =>
  raster(SIZE, SIZE, (x, y) => {
    const [dx, dy] = [x - at[0], y - at[1]];
    return Math.hypot(dx, dy) <= radius * (1 + swing * Math.cos(petals * Math.atan2(dy, dx))) ? 1 : 0;
  });

const petals = (mask: Uint8Array) => petalsOf(mask, SIZE, SIZE, PX_PER_MM);

it.each([3, 4, 5, 6, 7, 9])('a flower of %d even petals', (count) => {
  const found = petals(flower(count, 100, 0.25));
  expect(found.count).toBe(count);
  expect(found.reachMm).toBeCloseTo((100 * 1.25) / PX_PER_MM, -1);
  expect(found.symmetry).toBeGreaterThan(0.93);
});

it('ripples on a disc are no petals', () => {
  expect(petals(flower(11, 100, 0.02))).toMatchObject({ count: 0, reachMm: expect.closeTo(50, 0) });
});

it('one petal twice as long is less even than all alike', () => {
  const uneven = raster(SIZE, SIZE, (x, y) => {
    const [dx, dy] = [x - 200, y - 200];
    const angle = Math.atan2(dy, dx);
    const longer = Math.abs(angle) < Math.PI / 5 ? 1.7 : 1;
    return Math.hypot(dx, dy) <= 80 * longer * (1 + 0.25 * Math.cos(5 * angle)) ? 1 : 0;
  });
  expect(petals(uneven).symmetry).toBeLessThan(petals(flower(5, 80, 0.25)).symmetry - 0.1);
});

it('paint that runs over an edge is seen there and nowhere else', () => {
  const { edges } = petals(flower(4, 110, 0.3, [200, 60]));
  expect(edges.top).toBeGreaterThan(0.2);
  expect(edges).toMatchObject({ right: 0, bottom: 0, left: 0 });
});

it('a bare face has no petals', () => {
  expect(petals(new Uint8Array(SIZE * SIZE))).toEqual({
    count: 0,
    reachMm: 0,
    symmetry: 0,
    edges: { top: 0, right: 0, bottom: 0, left: 0 },
  });
});

it('the outline is read coarser, without specks', () => {
  const mask = flower(5, 100, 0.25);
  for (let speck = 0; speck < 40; speck += 1) mask[(10 + 9 * speck) * SIZE + 12] = 1;
  const coarse = flowerMask(mask, SIZE, SIZE, PX_PER_MM);
  expect([coarse.width, coarse.height, coarse.pxPerMm]).toEqual([100, 100, 0.5]);
  expect(petalsOf(coarse.mask, coarse.width, coarse.height, coarse.pxPerMm).count).toBe(5);
});
