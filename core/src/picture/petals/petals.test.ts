import { gaussian, seededRandom, type Random } from '../../base/random/index.ts';
import { inDisc, raster, ring } from '../../../testing/index.ts';
import { flowerMask, petalsOf, type FlowerMask } from './index.ts';

const [SIZE, PX_PER_MM] = [400, 2];
const blank = new Uint8Array(SIZE * SIZE);

const petals = (solid: Uint8Array, covered = solid) =>
  petalsOf({ solid, covered, width: SIZE, height: SIZE, pxPerMm: PX_PER_MM });

/** A flower with this many petals: its outline swings by a share of its radius. */
const flower = (count: number, radius: number, swing: number, at: readonly [number, number] = [200, 200]) =>
  raster(SIZE, SIZE, (x, y) => {
    const [dx, dy] = [x - at[0], y - at[1]];
    return Math.hypot(dx, dy) <= radius * (1 + swing * Math.cos(count * Math.atan2(dy, dx))) ? 1 : 0;
  });

const COUNTS = [3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

it.each(COUNTS)('a flower of %d even petals', (count) => {
  const found = petals(flower(count, 100, 0.25));
  expect(found.count).toBe(count);
  expect(found.reachMm).toBeCloseTo((100 * 1.25) / PX_PER_MM, -1);
  expect(found.symmetry).toBeGreaterThan(0.93);
});

/** A flower as a hand blows it: petals uneven in length, breadth and direction. */
function blown(
  count: number,
  random: Random,
  { open, at = [200, 200], length = 110 }: { open: boolean; at?: readonly [number, number]; length?: number },
) {
  const leaves = Array.from({ length: count }, (_, index) => ({
    angle: (2 * Math.PI * (index + 0.08 * gaussian(random))) / count,
    length: length * (1 + 0.07 * gaussian(random)),
    breadth: (open ? 0.66 : 0.85) * (1 + 0.06 * gaussian(random)),
  }));
  return raster(SIZE, SIZE, (x, y) => {
    const [dx, dy] = [x - at[0], y - at[1]];
    const radius = Math.hypot(dx, dy);
    return leaves.some(({ angle, length: far, breadth }) => {
      const turn = Math.atan2(Math.sin(Math.atan2(dy, dx) - angle), Math.cos(Math.atan2(dy, dx) - angle));
      const along = radius / far;
      if (along > 1 || along < (open ? 0.3 : 0)) return false;
      return Math.abs(turn) < (Math.PI / count) * breadth * Math.sqrt(1 - along ** 4) * (open ? 1 : 1.1);
    })
      ? 1
      : 0;
  });
}

/** What a picture of a bloom leaves: cells that were not found, and activator round everything. */
function inNet(solid: Uint8Array, random: Random): FlowerMask {
  const covered = raster(SIZE, SIZE, (x, y) => (inDisc(x, y, 200, 200, 130) ? 1 : 0));
  const specks = solid.slice();
  for (let speck = 0; speck < 60; speck += 1) {
    const [cx, cy, radius] = [80 + 240 * random(), 80 + 240 * random(), 1 + 3 * random()];
    const fill = random() < 0.5 ? 1 : 0;
    for (let y = Math.ceil(cy - radius); y <= cy + radius; y += 1) {
      for (let x = Math.ceil(cx - radius); x <= cx + radius; x += 1) {
        if (inDisc(x, y, cx, cy, radius)) specks[y * SIZE + x] = fill;
      }
    }
  }
  return { solid: specks, covered, width: SIZE, height: SIZE, pxPerMm: PX_PER_MM };
}

/** Of so many flowers of 3 to 12 petals: which share is counted right, and which share wrong. */
function counted(flowers: number, paint: (count: number, random: Random) => number | null) {
  const random = seededRandom(7);
  let [right, wrong] = [0, 0];
  for (let index = 0; index < flowers; index += 1) {
    const count = COUNTS[index % COUNTS.length]!;
    const found = paint(count, random);
    if (found === count) right += 1;
    else if (found !== null) wrong += 1;
  }
  return { right: right / flowers, wrong: wrong / flowers };
}

describe('petals as a hand blows them are counted right or not at all', () => {
  const flowers = ring(40, 400);
  const shares = {
    closed: counted(flowers, (count, random) => petals(blown(count, random, { open: false })).count),
    open: counted(flowers, (count, random) => petals(blown(count, random, { open: true })).count),
    'off center': counted(
      flowers,
      (count, random) => petals(blown(count, random, { open: true, at: [150, 235], length: 95 })).count,
    ),
    'in a net, the outline round': counted(
      flowers,
      (count, random) => petalsOf(flowerMask(inNet(blown(count, random, { open: true }), random))).count,
    ),
  };
  it.each(Object.entries(shares))('%s', (_, { right, wrong }) => {
    expect(right).toBeGreaterThan(0.85);
    expect(wrong).toBeLessThanOrEqual(0.02);
  });
});

it('of several flowers the largest is counted', () => {
  const large = flower(5, 90, 0.25, [130, 130]);
  const small = flower(7, 50, 0.25, [320, 320]);
  expect(petals(large.map((value, pixel) => value | small[pixel]!)).count).toBe(5);
});

it('the tongues of a fan', () => {
  for (const count of [2, 3, 4, 5, 6, 7]) {
    const band = raster(SIZE, SIZE, (x, y) => {
      const tongue = 25 + 22 * Math.cos((2 * Math.PI * count * (x - 40)) / 320 + Math.PI);
      return x > 40 && x < 360 && y > 160 - tongue && y < 230 ? 1 : 0;
    });
    expect(petals(band).count).toBe(count);
  }
});

it('a straight ribbon, a disc and ripples on a disc have none', () => {
  expect(petals(raster(SIZE, SIZE, (x, y) => (x > 40 && x < 360 && y > 160 && y < 240 ? 1 : 0))).count).toBe(
    0,
  );
  expect(petals(raster(SIZE, SIZE, (x, y) => (inDisc(x, y, 200, 200, 120) ? 1 : 0))).count).toBe(0);
  expect(petals(flower(11, 100, 0.02))).toMatchObject({ count: 0, reachMm: expect.closeTo(50, 0) });
});

it('what runs off the face on every side cannot be counted', () => {
  expect(petals(flower(6, 230, 0.2)).count).toBeNull();
});

it('one petal twice as long is less even than all alike', () => {
  const uneven = raster(SIZE, SIZE, (x, y) => {
    const [dx, dy] = [x - 200, y - 200];
    const angle = Math.atan2(dy, dx);
    const longer = Math.abs(angle) < Math.PI / 5 ? 1.35 : 1;
    return Math.hypot(dx, dy) <= 90 * longer * (1 + 0.25 * Math.cos(5 * angle)) ? 1 : 0;
  });
  expect(petals(uneven).symmetry).toBeLessThan(petals(flower(5, 90, 0.25)).symmetry - 0.05);
});

it('paint that runs over an edge is seen there and nowhere else', () => {
  const { edges } = petals(flower(4, 110, 0.3, [200, 60]));
  expect(edges.top).toBeGreaterThan(0.2);
  expect(edges).toMatchObject({ right: 0, bottom: 0, left: 0 });
});

it('a bare face has no petals', () => {
  expect(petals(blank)).toEqual({
    count: 0,
    reachMm: 0,
    symmetry: 0,
    edges: { top: 0, right: 0, bottom: 0, left: 0 },
  });
});

it('the outline is read coarser, without specks', () => {
  const solid = flower(5, 100, 0.25);
  for (let speck = 0; speck < 40; speck += 1) solid[(10 + 9 * speck) * SIZE + 12] = 1;
  const coarse = flowerMask({ solid, covered: solid, width: SIZE, height: SIZE, pxPerMm: PX_PER_MM });
  expect([coarse.width, coarse.height, coarse.pxPerMm]).toEqual([100, 100, 0.5]);
  expect(petalsOf(coarse).count).toBe(5);
});
