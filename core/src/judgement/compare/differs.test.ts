import { GOOD_BLOOM, pouredCup } from '../../../testing/index.ts';
import {
  alongScale,
  CAUSES,
  differing,
  EFFECTS,
  findQuantity,
  isSame,
  onCommonCells,
  quantitiesOf,
} from './index.ts';
import type { PourRecord } from '../outcome/index.ts';

const pour: PourRecord = {
  ...GOOD_BLOOM,
  support: { shape: 'rectangle', widthMm: 200, heightMm: 100, sideDepthMm: 0 },
  cups: [
    pouredCup('white', 'pillow', { viscosityPaS: 6, laidMg: 80_000 }),
    pouredCup('rust', 'color', { viscosityPaS: 2 }),
    pouredCup('rain', 'color', { viscosityPaS: 4.5 }),
    pouredCup('black', 'activator', { viscosityPaS: 0.9, laidMg: 4_000 }),
    pouredCup('spare', 'color', { viscosityPaS: 50, laidMg: 0 }),
  ],
  order: ['white', 'rust', 'rain', 'black'],
  passes: [
    { tool: 'mouth', setting: 'steady', distanceMm: 100, slantDeg: 30, directionDeg: 0, seconds: 3 },
    { tool: 'hair-dryer', setting: 'low', distanceMm: 200, slantDeg: 60, directionDeg: 0, seconds: 1 },
  ],
  waitSeconds: 90,
  spins: [{ rpm: 30, seconds: 20 }],
  rating: 4,
};

describe('the numbers of a pour', () => {
  const numbers = quantitiesOf(pour);

  it.each([
    // The middle of 2 and 4.5 by their logarithms is 3; the cup that was not laid is left out.
    ['colorPaS', 3],
    ['activatorRatio', 0.3],
    ['groundRatio', 2],
    ['colorSpread', 2.25],
    // 40 g on 2 dm².
    ['colorG', 20],
    ['groundG', 40],
    ['activatorShare', 0.1],
    // By seconds: (3 * 100 + 1 * 200) / 4.
    ['distanceMm', 125],
    ['slantDeg', 37.5],
    ['airSeconds', 4],
    ['passCount', 2],
    ['spinTurns', 10],
    ['rating', 4],
  ] as const)('%s is %d', (key, wanted) => {
    expect(numbers[key]).toBeCloseTo(wanted, 6);
  });

  it('what was not recorded is nothing, not zero', () => {
    const bare = quantitiesOf({
      ...pour,
      cups: [],
      passes: [],
      waitSeconds: null,
      temperatureC: null,
      rating: null,
    });
    for (const key of [
      'colorPaS',
      'activatorRatio',
      'activatorShare',
      'distanceMm',
      'waitSeconds',
      'temperatureC',
    ]) {
      expect([key, bare[key]]).toEqual([key, null]);
    }
    expect(bare.cellMm).toBeNull();
  });

  it('no cells have no size', () => {
    const outcome = {
      cellMm: 0,
      cellsPerCm2: 0,
      cellCount: 0,
      lacingShare: 0,
      lacingWidthMm: 0,
      mud: 0,
      negativeSpace: 1,
      petalCount: 0,
      petalReachMm: 0,
      symmetry: 0,
      shareByCup: {},
    };
    const none = quantitiesOf({ ...pour, outcome });
    expect([none.cellMm, none.lacingWidthMm, none.cellsPerCm2, none.negativeSpace]).toEqual([
      null,
      null,
      0,
      1,
    ]);
  });
});

describe('what differs', () => {
  const labels = (...pours: readonly PourRecord[]) => differing(pours).map(({ label }) => label);

  it('nothing between a pour and itself', () => {
    expect(differing([pour, pour])).toEqual([]);
  });

  it('one change, and the numbers that follow from it', () => {
    const thinner = pour.cups.map((each) =>
      each.role === 'activator' ? { ...each, viscosityPaS: 0.6 } : each,
    );
    expect(labels(pour, { ...pour, cups: thinner })).toEqual(['Activator to colors, thickness']);
  });

  it('less than three percent is alike', () => {
    const nearly = pour.passes.map((pass) => ({ ...pass, distanceMm: 1.02 * pass.distanceMm }));
    expect(labels(pour, { ...pour, passes: nearly })).toEqual([]);
  });

  it('the order by name, the tools by their words, each in its group', () => {
    const other = {
      ...pour,
      order: ['white', 'rain', 'rust', 'black'],
      passes: pour.passes.map((pass) => ({ ...pass, tool: 'mouth' as const })),
    };
    expect(differing([pour, other])).toEqual([
      {
        group: 'order',
        label: 'Laid in this order',
        words: ['white, rust, rain, black', 'white, rain, rust, black'],
      },
      { group: 'air', label: 'Tools', words: ['Mouth, Hair dryer, cool', 'Mouth'] },
    ]);
  });

  it('a number that one of them lacks is shown with a gap', () => {
    const [line] = differing([pour, { ...pour, waitSeconds: null }]);
    expect(line).toMatchObject({ group: 'air', label: 'Wait for the cells', values: [90, null] });
  });

  it('four pours are told apart in one line', () => {
    const rated = [1, 2, 3, 5].map((rating) => ({ ...pour, rating }));
    expect(differing(rated)).toMatchObject([
      { group: 'outcome', label: 'Your rating', values: [1, 2, 3, 5] },
    ]);
  });
});

describe('the scale of a comparison', () => {
  const cell = findQuantity('cellMm')!;
  const rating = findQuantity('rating')!;

  it('is always the same for a quantity, so that a hair’s breadth does not look like the double', () => {
    const apart = (a: number, b: number) => Math.abs(alongScale(cell, a) - alongScale(cell, b));
    expect(apart(1.13, 1.19)).toBeLessThan(0.02);
    expect(apart(2, 4)).toBeCloseTo(apart(1, 2), 9);
    expect([alongScale(cell, 0.01), alongScale(cell, 100), alongScale(rating, 2.5)]).toEqual([0, 1, 0.5]);
  });

  it('what an artist would call the same is the same, both ways round', () => {
    expect(isSame(cell, 1.13, 1.19)).toBe(true);
    expect(isSame(cell, 1.19, 1.13)).toBe(true);
    expect(isSame(cell, 1, 1.5)).toBe(false);
    expect(isSame(rating, 3, 4)).toBe(false);
    for (const quantity of [...CAUSES, ...EFFECTS]) expect(isSame(quantity, 0, 0)).toBe(true);
  });
});

describe('photos that show cells down to different sizes', () => {
  const near = { cellMm: 1.1, cellsPerCm2: 5, 'cellMm from 0.8': 1.4, 'cellsPerCm2 from 0.8': 3 };
  const both = { ...near, 'cellMm from 1.2': 1.9, 'cellsPerCm2 from 1.2': 2 };
  const far = { cellMm: 2, cellsPerCm2: 2, 'cellMm from 1.2': 2.1, 'cellsPerCm2 from 1.2': 2 };

  it('are compared from a size on that all of them show', () => {
    const { fromMm, pours } = onCommonCells([both, far, { rating: 3 }]);
    expect(fromMm).toBe(1.2);
    expect(pours[0]).toMatchObject({ cellMm: 1.9, cellsPerCm2: 2 });
    expect(pours[1]).toMatchObject({ cellMm: 2.1 });
    expect(pours[2]).toEqual({ rating: 3 });
    expect(onCommonCells([both, near]).fromMm).toBe(0.8);
  });

  it('that do not tell stay as they are; without cells there is no size', () => {
    const old = { cellMm: 2, cellsPerCm2: 2 };
    expect(onCommonCells([both, old])).toEqual({ fromMm: null, pours: [both, old] });
    const none = { cellMm: 1, cellsPerCm2: 1, 'cellMm from 0.8': 0, 'cellsPerCm2 from 0.8': 0 };
    expect(onCommonCells([none]).pours[0]).toMatchObject({ cellMm: null, cellsPerCm2: 0 });
  });
});
