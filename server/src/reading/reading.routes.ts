import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { addReadings, strikeReading } from './reading.queries.ts';

export function readingRoutes(router: Router, db: Db): void {
  route(router, api.readings.add, ({ params, body }) =>
    write(db, async (trx) => ({ readings: await addReadings(trx, params.pieceId, body) })),
  );
  route(router, api.readings.strike, ({ params, body }) =>
    write(db, async (trx) => ({ readings: await strikeReading(trx, params.id, body.struck) })),
  );
}
