import { climateSchema } from './climate.ts';
import { endpoint } from './endpoint.ts';

export const climate = {
  now: endpoint({
    method: 'GET',
    path: '/api/climate',
    summary: 'Temperature and humidity of the room, from the stand-in',
    tag: 'pour',
    response: climateSchema,
  }),
};
