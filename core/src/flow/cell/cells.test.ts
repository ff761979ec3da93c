import fc from 'fast-check';
import { levelingRate } from '../film/index.ts';
import { seededRandom } from '../../base/random/index.ts';
import { cellForecast, growthRates, openingRange, stackCells, stackModes, type TwoLayers } from './index.ts';

const stack = (
  [h1, mu1, rho1]: readonly [number, number, number],
  [h2, mu2, rho2]: readonly [number, number, number],
  tensions: Partial<TwoLayers> = {},
): TwoLayers => ({
  lower: { thicknessMm: h1, viscosityPaS: mu1, densityKgM3: rho1 },
  upper: { thicknessMm: h2, viscosityPaS: mu2, densityKgM3: rho2 },
  interfacialTensionNM: 0,
  surfaceTensionNM: 0.03,
  ...tensions,
});

const thicknesses = fc.double({ min: 0.1, max: 6, noNaN: true });
const viscosities = fc.double({ min: 0.1, max: 20, noNaN: true });
const wavelengths = fc.double({ min: 0.5, max: 60, noNaN: true });

describe('two layers', () => {
  it.each([
    [stack([2, 2, 1070], [0.3, 0.5, 1120]), 2.484, 0.02326],
    [stack([1, 0.5, 1050], [1, 0.5, 1100]), 3.003, 0.08489],
    [stack([4, 3, 1150], [0.5, 2, 1250]), 3.68, 0.03146],
  ])('come out within 0.1 %% of the same model solved independently (case %#)', (layers, mm, perS) => {
    const found = cellForecast(layers);
    expect(Math.abs(found.wavelengthMm! / mm - 1)).toBeLessThan(1e-3);
    expect(Math.abs(found.growthPerS! / perS - 1)).toBeLessThan(1e-3);
    expect(found.openingSeconds).toBeCloseTo(1 / found.growthPerS!, 12);
  });

  it('that are equal level like one (Orchard 1962), to 1e-9', () => {
    fc.assert(
      fc.property(thicknesses, thicknesses, viscosities, wavelengths, (h1, h2, mu, wavelengthMm) => {
        const { faster, slower } = growthRates(stack([h1, mu, 1100], [h2, mu, 1100]), wavelengthMm);
        const orchard = levelingRate({
          wavelengthMm,
          thicknessMm: h1 + h2,
          viscosityPaS: mu,
          densityKgM3: 1100,
          surfaceTensionNM: 0.03,
        });
        expect(Math.abs(slower / -orchard - 1)).toBeLessThan(1e-9);
        expect(Math.abs(faster)).toBeLessThan(1e-9 * orchard);
      }),
    );
  });

  it('that are both deep grow as (rho2 - rho1) g / (2 k (mu1 + mu2)) (Rayleigh-Taylor, creeping flow)', () => {
    fc.assert(
      fc.property(
        viscosities,
        viscosities,
        fc.double({ min: 1, max: 300, noNaN: true }),
        (mu1, mu2, heavier) => {
          const wavelengthMm = 2;
          const k = (2 * Math.PI) / 0.002;
          const deep = stack([20, mu1, 1050], [20, mu2, 1050 + heavier]);
          const limit = (heavier * 9.81) / (2 * k * (mu1 + mu2));
          expect(Math.abs(growthRates(deep, wavelengthMm).faster / limit - 1)).toBeLessThan(1e-9);
        },
      ),
    );
  });

  it('with the lighter one on top never open', () => {
    fc.assert(
      fc.property(thicknesses, thicknesses, viscosities, viscosities, wavelengths, (h1, h2, mu1, mu2, mm) => {
        const layers = stack([h1, mu1, 1200], [h2, mu2, 1100]);
        expect(growthRates(layers, mm).faster).toBeLessThan(1e-12);
        expect(cellForecast(layers)).toMatchObject({ stable: true, wavelengthMm: null });
      }),
    );
  });

  it('open at the peak of the growth rate, and only with the heavier one on top', () => {
    fc.assert(
      fc.property(
        thicknesses,
        thicknesses,
        viscosities,
        viscosities,
        fc.double({ min: 5, max: 300, noNaN: true }),
        (h1, h2, mu1, mu2, heavier) => {
          const layers = stack([h1, mu1, 1050], [h2, mu2, 1050 + heavier]);
          const found = cellForecast(layers);
          for (const factor of [0.5, 0.9, 1.1, 2, 5]) {
            const beside = growthRates(layers, found.wavelengthMm! * factor).faster;
            expect(beside).toBeLessThanOrEqual(found.growthPerS! * (1 + 1e-9));
          }
        },
      ),
      { numRuns: 30 },
    );
  });

  it('twice as thick all through, take twice as long and keep their spacing', () => {
    const once = cellForecast(stack([2, 1, 1070], [0.4, 0.5, 1120]));
    const twice = cellForecast(stack([2, 2, 1070], [0.4, 1, 1120]));
    expect(twice.openingSeconds! / once.openingSeconds!).toBeCloseTo(2, 5);
    expect(twice.wavelengthMm! / once.wavelengthMm!).toBeCloseTo(1, 4);
  });

  it('with tension between them make larger cells, later', () => {
    const free = cellForecast(stack([2, 2, 1070], [0.3, 0.5, 1120]));
    const held = cellForecast(stack([2, 2, 1070], [0.3, 0.5, 1120], { interfacialTensionNM: 0.001 }));
    expect(held.wavelengthMm!).toBeGreaterThan(free.wavelengthMm!);
    expect(held.openingSeconds!).toBeGreaterThan(free.openingSeconds!);
  });
});

it.each([
  [stack([0, 1, 1000], [1, 1, 1100]), 'lower.thicknessMm'],
  [stack([1, 1, 1000], [1, -1, 1100]), 'upper.viscosityPaS'],
  [stack([1, 1, Number.NaN], [1, 1, 1100]), 'lower.densityKgM3'],
  [stack([1, 1, 1000], [1, 1, 1100], { surfaceTensionNM: -1 }), 'surfaceTensionNM'],
])('asks for what is missing (case %#)', (layers, field) => {
  expect(() => cellForecast(layers)).toThrow(expect.objectContaining({ field }));
});

describe('a whole stack', () => {
  const layer = (thicknessMm: number, viscosityPaS: number, densityKgM3: number) => ({
    ...{ thicknessMm, viscosityPaS, densityKgM3 },
  });

  it('of two layers it is the pair: the reference of the model, solved independently (from memory)', () => {
    const [cells] = stackCells([layer(2, 2, 1070), layer(0.3, 0.5, 1120)]);
    expect(cells!.wavelengthMm).toBeCloseTo(2.484, 2);
    expect(cells!.growthPerS).toBeCloseTo(0.02326, 5);
    expect(cells!.openingSeconds).toBeCloseTo(43, 0);
    for (const k of [200, 1500, 9000]) {
      const rates = stackModes([layer(2, 2, 1070), layer(0.3, 0.5, 1120)], k)
        .map(({ growthPerS }) => growthPerS)
        .sort((a, b) => b - a);
      const pair = growthRates(
        {
          lower: layer(2, 2, 1070),
          upper: layer(0.3, 0.5, 1120),
          interfacialTensionNM: 0,
          surfaceTensionNM: 0.03,
        },
        (2000 * Math.PI) / k,
      );
      expect(rates[0]! / pair.faster).toBeCloseTo(1, 6);
      expect(rates[1]! / pair.slower).toBeCloseTo(1, 6);
    }
  });

  it('a layer cut in two is still that layer', () => {
    const [, cells] = stackCells([layer(1, 2, 1070), layer(1, 2, 1070), layer(0.3, 0.5, 1120)]);
    expect(cells!.wavelengthMm).toBeCloseTo(2.484, 1);
    expect(cells!.growthPerS).toBeCloseTo(0.02326, 4);
  });

  it('one layer levels as Orchard 1962 has it (from memory)', () => {
    const film = layer(1, 1, 1100);
    const [mode] = stackModes([film], (2 * Math.PI) / 0.01);
    const rate = levelingRate({ ...film, wavelengthMm: 10, surfaceTensionNM: 0.03 });
    expect(mode!.growthPerS).toBeCloseTo(-rate, 9);
  });

  it('lighter on lighter is stable everywhere; only what is inverted opens', () => {
    const stable = stackCells([layer(2, 2, 1200), layer(1, 2, 1150), layer(0.3, 0.5, 1100)]);
    expect(stable.map((each) => each.stable)).toEqual([true, true]);
    const mixed = stackCells([layer(2, 2, 1200), layer(1, 2, 1100), layer(0.3, 0.5, 1150)]);
    expect(mixed.map((each) => each.stable)).toEqual([true, false]);
  });

  it('solved at once it grows as fast as the pair by itself, or faster', () => {
    const random = seededRandom(3);
    const ratios: number[] = [];
    for (let index = 0; index < 40; index += 1) {
      const layers = Array.from({ length: 3 + Math.floor(3 * random()) }, () =>
        layer(0.2 + 3 * random(), 0.3 * Math.exp(2.5 * random()), 1050 + 150 * random()),
      );
      stackCells(layers).forEach((cells, at) => {
        const pair = cellForecast({
          ...{ lower: layers[at]!, upper: layers[at + 1]! },
          ...{ interfacialTensionNM: 0, surfaceTensionNM: 0.03 },
        });
        if (!cells.stable && !pair.stable) ratios.push(cells.growthPerS / pair.growthPerS);
      });
    }
    ratios.sort((a, b) => a - b);
    expect(ratios[Math.floor(ratios.length / 2)]).toBeGreaterThan(1);
    expect(ratios[Math.floor(0.9 * ratios.length)]).toBeLessThan(8);
  });

  it('it takes 2.3 to 4.6 e-foldings from a first ripple until it is open', () => {
    expect(openingRange(1)).toEqual({ fromSeconds: Math.log(10), toSeconds: Math.log(100) });
  });
});
