import { cellForecast } from '../../flow/cell/index.ts';
import { stackForecast } from './index.ts';

const layer = (thicknessMm: number, viscosityPaS: number, densityKgM3: number) => ({
  thicknessMm,
  viscosityPaS,
  densityKgM3,
});

it('forecasts every interface as the pair by itself, to the last digit', () => {
  const [pillow, color, activator] = [layer(4, 3, 1350), layer(1.5, 2.5, 1120), layer(0.3, 0.5, 1180)];
  const forecast = stackForecast([pillow, color, activator]);
  expect(forecast).toHaveLength(2);
  expect(forecast[1]!.cells).toEqual(
    cellForecast({ lower: color, upper: activator, interfacialTensionNM: 0, surfaceTensionNM: 0.03 }),
  );
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
