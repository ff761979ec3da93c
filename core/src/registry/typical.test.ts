import { driftMm, rimHoldsMm } from '../flow/film/index.ts';
import { airTool, shearAheadPa } from '../flow/air/index.ts';
import { USUAL_SETTINGS } from '../piece/plan/index.ts';
import { listCalculations } from './index.ts';

/** What the cards of the bench say in passing is what their laws say. */
const typicalOf = (name: string): string => listCalculations().find((each) => each.name === name)!.typical;

it.each([
  ['rim', [rimHoldsMm(1500).toFixed(1), rimHoldsMm(1050).toFixed(1)]],
  [
    'drift',
    [
      (
        driftMm({
          ...{ thicknessMm: 1, viscosityPaS: 1, densityKgM3: 1100 },
          ...{ slopeMmPerM: 2, lengthMm: 400, dryingSeconds: 15_600 },
        }) / 10
      ).toFixed(1),
    ],
  ],
  ['deep-dent', [`straw ${airTool('straw').exitSpeedMS} m/s`]],
  ['jet', [`mouth ${airTool('mouth').exitSpeedMS} m/s`]],
  [
    'reach',
    [
      `${shearAheadPa({ exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 30 }, 0).toPrecision(2)} Pa`,
    ],
  ],
  ['amounts', [`a sheet of ${USUAL_SETTINGS.sheetMm} mm`]],
  ['tip-test', ['1.5 to 4.9 degrees']],
])('the card of "%s" names the numbers of its law', (name, numbers) => {
  for (const each of numbers) expect(typicalOf(name)).toContain(each);
});
