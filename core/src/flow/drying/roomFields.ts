import { z } from 'zod';
import { notNegative } from '../../base/calculation/fields.ts';

/** The room in which something dries, as calculations take it. */
export const roomFields = {
  temperatureC: z.number('Give the temperature in °C.').min(0, 'At least 0 °C.').max(60, 'At most 60 °C.'),
  humidityPct: z
    .number('Give the humidity in percent.')
    .min(0, 'At least 0 %.')
    .lt(100, 'At 100 % humidity nothing dries: give less.'),
  airMS: notNegative('the speed of the air in m/s').max(100, 'At most 100 m/s.'),
};
