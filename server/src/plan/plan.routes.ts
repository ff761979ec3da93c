import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { putPlan } from './plan.queries.ts';

export function planRoutes(router: Router, db: Db): void {
  route(router, api.plans.put, ({ params, body }) => write(db, (trx) => putPlan(trx, params.pieceId, body)));
}
