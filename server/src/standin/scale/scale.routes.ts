import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { route } from '../../http/route.ts';
import type { StandInScale } from './scale.ts';

export function scaleRoutes(router: Router, scale: StandInScale): void {
  route(router, api.scale.info, () => scale.info);
  route(router, api.scale.tare, () => scale.tare());
  route(router, api.scale.pour, ({ body }) => scale.pour(body.mg));
  route(router, api.scale.stop, () => scale.stop());
  route(router, api.scale.disturb, ({ body }) => scale.disturb(body.kind));
  route(router, api.scale.newCup, () => scale.newCup());

  /** Readings as server-sent events, for as long as the page stays. */
  router.get(api.scale.readings.path, (request, response) => {
    response.writeHead(200, {
      'Content-Type': api.scale.readings.gives,
      'Cache-Control': 'no-cache, no-transform',
    });
    const unsubscribe = scale.subscribe((reading) => {
      response.write(`data: ${JSON.stringify(reading)}\n\n`);
    });
    request.on('close', unsubscribe);
  });
}
