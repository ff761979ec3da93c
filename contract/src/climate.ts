import { z } from 'zod';

/** What the room's thermometer and hygrometer show. */
export const climateSchema = z.object({
  name: z.string(),
  temperatureC: z.number(),
  humidityPercent: z.number(),
});
export type Climate = z.output<typeof climateSchema>;
