import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { appendCare } from './care.queries.ts';

export function careRoutes(router: Router, db: Db): void {
  route(router, api.care.append, ({ params, body }) =>
    write(db, (trx) => appendCare(trx, params.pieceId, body)),
  );
}
