import { GOOD_BLOOM, pouredCup } from '../../../testing/index.ts';
import { differing, quantitiesOf } from './index.ts';
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
