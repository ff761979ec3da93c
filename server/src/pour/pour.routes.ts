import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { appendEvent } from './pour.queries.ts';

export function pourRoutes(router: Router, db: Db): void {
  route(router, api.pours.append, ({ params, body }) =>
    write(db, (trx) => appendEvent(trx, params.pieceId, body)),
  );
}
