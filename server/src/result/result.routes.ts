import { api, savedViewSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { pageOfRecords } from '../db/page.ts';
import { timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route, textRoute } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import { findView, listViews, saveView } from './views.queries.ts';

export function resultRoutes(router: Router, db: Db, tasks: Tasks): void {
  textRoute(router, api.results.numbers, 'list', ({ query }) => tasks.run('numbers', query.technique));
  textRoute(router, api.results.cells, 'list', () => tasks.run('cells', undefined));
  route(router, api.results.views, ({ query }) =>
    pageOfRecords(db, 'savedView', savedViewSchema, query, listViews),
  );
  route(router, api.results.saveView, ({ body }) => write(db, (trx) => saveView(trx, body)));
  route(router, api.results.removeView, ({ params, query }) =>
    setDeleted(db, 'savedView', { id: params.id, version: query.version }, timestamp(), (trx) =>
      findView(trx, params.id),
    ),
  );
  route(router, api.results.restoreView, ({ params, body }) =>
    setDeleted(db, 'savedView', { id: params.id, version: body.version }, null, (trx) =>
      findView(trx, params.id),
    ),
  );
}
