import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { positive } from '../../base/calculation/fields.ts';
import { evaporation, sheetDriesSeconds, USUAL_ROOM } from './evaporation.ts';
import { roomFields } from './roomFields.ts';

/** Minutes in which a sheet of 0.3 mm loses its water in a usual room with so much wind, m/s. */
const minutes = (airMS: number): string =>
  (sheetDriesSeconds(0.3, 1.1, { ...USUAL_ROOM, airMS }) / 60).toFixed(0);

export const dryCalculation = defineCalculation({
  name: 'dry',
  title: 'The shortest time in which the water of a wet film leaves',
  law: 'W = A (p_w - p_a)(0.089 + 0.0782 V) / Y, p_w = 0.6112 exp(17.62 T / (243.12 + T)), Y = 2501 - 2.36 T',
  source: 'ASHRAE, evaporation from open water; Magnus formula (from memory)',
  range: 'A wet surface, while it has not skinned over; 0 to 60 °C, below 100 % humidity.',
  assumes: 'Free water at the surface: paint dries slower, so that this is a lower bound.',
  typical: `A sheet of 0.3 mm loses its water in ${minutes(0)} minutes in still air, in ${minutes(3)} under a dryer.`,
  example: { areaM2: 0.0625, waterG: 11, temperatureC: 20, humidityPct: 50, airMS: 0 },
  input: z.strictObject({
    areaM2: positive('the area in m2'),
    waterG: positive('the water in grams'),
    ...roomFields,
  }),
  output: z.object({ seconds: z.number(), gramsPerHour: z.number() }),
  compute: (input) => evaporation(input),
});
