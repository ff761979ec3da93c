import { stackCells } from '../../flow/cell/index.ts';
import { stackForecast } from './index.ts';

const layer = (thicknessMm: number, viscosityPaS: number, densityKgM3: number) => ({
  thicknessMm,
  viscosityPaS,
  densityKgM3,
});

it('forecasts every interface of the whole stack, as a range of times', () => {
  const layers = [layer(4, 3, 1350), layer(1.5, 2.5, 1120), layer(0.3, 0.5, 1180)];
  const forecast = stackForecast(layers);
  expect(forecast.map(({ cells }) => cells)).toEqual(stackCells(layers));
  const { cells, opens } = forecast[1]!;
  expect(opens!.fromSeconds).toBeCloseTo(Math.log(10) / cells.growthPerS!, 9);
  expect(opens!.toSeconds).toBeCloseTo(2 * opens!.fromSeconds, 9);
});

it('what weight does not open, a thin sheet or a metallic does (common practice): never "no cells"', () => {
  const under = layer(2, 2.5, 1150);
  const on = (upper: object) => stackForecast([under, { ...layer(0.3, 0.5, 1060), ...upper }])[0]!;
  expect(on({})).toMatchObject({ verdict: 'holds', opens: null, also: [] });
  expect(on({ isSheet: true })).toMatchObject({ verdict: 'opens-otherwise', also: ['thin-sheet'] });
  expect(on({ isMetallic: true })).toMatchObject({ verdict: 'opens-otherwise', also: ['metallic'] });
  const heavy = { isSheet: true, densityKgM3: 1180 };
  expect(on(heavy)).toMatchObject({ verdict: 'opens', also: ['thin-sheet'] });
});

it('a lighter layer on top holds; a thin heavy one opens; a thick heavy one sinks (common practice)', () => {
  const verdict = (upper: ReturnType<typeof layer>) =>
    stackForecast([layer(2, 2.5, 1100), upper])[0]!.verdict;
  expect(verdict(layer(0.3, 0.5, 1080))).toBe('holds');
  expect(verdict(layer(0.3, 0.5, 1180))).toBe('opens');
  expect(verdict(layer(1, 3, 1300))).toBe('sinks');
});

it('what would open only when it is dry is slow', () => {
  expect(stackForecast([layer(0.4, 20, 1100), layer(0.1, 8, 1101)])[0]!.verdict).toBe('slow');
});

it('one layer has no interface', () => {
  expect(stackForecast([layer(1, 1, 1000)])).toEqual([]);
});
