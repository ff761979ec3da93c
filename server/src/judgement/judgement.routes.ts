import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { putJudgement } from './judgement.queries.ts';

export function judgementRoutes(router: Router, db: Db): void {
  route(router, api.judgements.put, ({ params, body }) =>
    write(db, (trx) => putJudgement(trx, params.pieceId, body)),
  );
}
