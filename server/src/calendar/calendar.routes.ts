import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Devices } from '../device/devices.ts';
import { route } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';

/** A feed that a phone subscribes to; opened in a browser it is a file. */
export function calendarRoutes(router: Router, tasks: Tasks): void {
  const { path, gives } = api.calendar.feed;
  router.get(path, async (_request, response) => {
    const text = await tasks.run('calendar', Date.now());
    response.setHeader('Content-Disposition', 'inline; filename="icy-ribbon.ics"');
    response.type(`${gives}; charset=utf-8`).send(text);
  });
}

/** The address that a calendar subscribes to: made on request, and made anew when the old one is to end. */
export function calendarAddressRoutes(router: Router, devices: Devices): void {
  const pathWith = (token: string | null) => token && `${api.calendar.feed.path}?token=${token}`;
  route(router, api.calendar.address, () => ({ path: pathWith(devices.calendarToken) }));
  route(router, api.calendar.renew, async () => ({ path: pathWith(await devices.renewCalendarToken()) }));
}
