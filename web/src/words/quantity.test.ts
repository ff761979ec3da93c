import { CAUSES, EFFECTS, findQuantity } from '@icy-ribbon/core/judgement/compare';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { axisTitle, quantityWords, shownValue } from './quantity.ts';

const METRIC: ChosenUnits = { mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' };
const CUSTOMARY: ChosenUnits = { mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' };

it.each([
  ['distanceMm', 125, '13\u00a0cm', '4.9\u00a0in'],
  ['activatorShare', 0.083, '8.3\u00a0%', '8.3\u00a0%'],
  ['negativeSpace', 0.634, '63\u00a0%', '63\u00a0%'],
  ['colorPaS', 2.891, '2.89\u00a0Pa·s', '2.89\u00a0Pa·s'],
  ['airSeconds', 123.4, '123\u00a0s', '123\u00a0s'],
  // 41.26 g on a square decimeter: 1.455 oz on 0.1076 square feet.
  ['groundG', 41.26, '41.3\u00a0g/dm²', '13.5\u00a0oz/ft²'],
  ['cellMm', 2.4, '2.4\u00a0mm', '0.094\u00a0in'],
  ['cellsPerCm2', 0.5, '0.5\u00a0per cm²', '3.23\u00a0per in²'],
  ['temperatureC', 21, '21\u00a0°C', '69.8\u00a0°F'],
  ['slantDeg', 30, '30°', '30°'],
  ['passCount', 6, '6', '6'],
  ['rating', 4, '4\u00a0of 5', '4\u00a0of 5'],
])('%s %d is "%s", or "%s"', (key, value, metric, customary) => {
  expect(quantityWords(findQuantity(key)!, value, METRIC)).toBe(metric);
  expect(quantityWords(findQuantity(key)!, value, CUSTOMARY)).toBe(customary);
});

it('every axis has a title in the units that are chosen', () => {
  for (const each of [...CAUSES, ...EFFECTS]) {
    expect(axisTitle(each, METRIC)).toMatch(/^[A-Z].*(?<!share)$/);
    expect(axisTitle(each, CUSTOMARY)).not.toMatch(/\b(g|mm|cm|°C)\b|dm²|cm²/);
  }
});

it('what is drawn is what is read', () => {
  expect(shownValue(findQuantity('distanceMm')!, 254, CUSTOMARY)).toBeCloseTo(10, 9);
  expect(shownValue(findQuantity('mud')!, 0.05, METRIC)).toBeCloseTo(5, 9);
});
