import { api, calibrationSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { pageOfRecords } from '../db/page.ts';
import { timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { createCalibration, findCalibration, listCalibrations } from './calibration.queries.ts';

export function calibrationRoutes(router: Router, db: Db): void {
  route(router, api.calibrations.list, ({ query }) =>
    pageOfRecords(db, 'calibration', calibrationSchema, query, listCalibrations),
  );
  route(router, api.calibrations.create, ({ body }) => write(db, (trx) => createCalibration(trx, body)));
  route(router, api.calibrations.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'calibration', { id, version }, timestamp(), (trx) => findCalibration(trx, id)),
  );
  route(router, api.calibrations.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'calibration', { id, version }, null, (trx) => findCalibration(trx, id)),
  );
}
