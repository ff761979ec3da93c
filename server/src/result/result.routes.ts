import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { textRoute } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';

export function resultRoutes(router: Router, tasks: Tasks): void {
  textRoute(router, api.results.numbers, 'list', ({ query }) => tasks.run('numbers', query.technique));
  textRoute(router, api.results.cells, 'list', () => tasks.run('cells', undefined));
}
