import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { setDeleted, timestamp } from '../db/record.ts';
import { route } from '../http/route.ts';
import { readPieces } from '../piece/piece.queries.ts';
import { listNumbers, refreshFacts } from './facts.ts';
import { findView, listViews, saveView } from './views.queries.ts';

export function resultRoutes(router: Router, db: Db): void {
  route(router, api.results.numbers, async ({ query }) => {
    await refreshFacts(db, readPieces);
    return { items: await listNumbers(db, query.technique) };
  });
  route(router, api.results.views, async () => ({ items: await listViews(db) }));
  route(router, api.results.saveView, ({ body }) => db.transaction().execute((trx) => saveView(trx, body)));
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
