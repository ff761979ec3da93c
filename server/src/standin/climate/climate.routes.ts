import { api, type Climate } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { route } from '../../http/route.ts';

/** The thermometer and hygrometer stand-in: a room that warms through the day and is a little damp at night. */
export function climateAt(now: Date): Climate {
  const turn = (2 * Math.PI * (now.getUTCHours() + now.getUTCMinutes() / 60 - 15)) / 24;
  const day = now.getUTCDate();
  const temperatureC = 20.6 + 1.6 * Math.cos(turn) + 0.5 * Math.sin(day * 1.7);
  const humidityPercent = 51 - 6 * Math.cos(turn) + 4 * Math.sin(day * 0.9 + 2);
  return {
    name: 'Room sensor (stand-in)',
    temperatureC: Math.round(temperatureC * 10) / 10,
    humidityPercent: Math.round(humidityPercent),
  };
}

export function climateRoutes(router: Router): void {
  route(router, api.climate.now, () => climateAt(new Date()));
}
