import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
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
