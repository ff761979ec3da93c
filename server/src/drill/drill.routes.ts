import { api, drillRunSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { pageOfRecords } from '../db/page.ts';
import { timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { createDrillRun, findDrillRun, listDrillRuns } from './drill.queries.ts';

export function drillRoutes(router: Router, db: Db): void {
  route(router, api.drills.list, ({ query }) =>
    pageOfRecords(db, 'drillRun', drillRunSchema, query, listDrillRuns),
  );
  route(router, api.drills.create, ({ body }) => write(db, (trx) => createDrillRun(trx, body)));
  route(router, api.drills.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'drillRun', { id, version }, timestamp(), (trx) => findDrillRun(trx, id)),
  );
  route(router, api.drills.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'drillRun', { id, version }, null, (trx) => findDrillRun(trx, id)),
  );
}
