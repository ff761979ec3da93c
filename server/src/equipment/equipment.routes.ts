import { api, equipmentSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { pageOfRecords } from '../db/page.ts';
import { found, timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { createEquipment, findEquipment, listEquipment, updateEquipment } from './equipment.queries.ts';

export function equipmentRoutes(router: Router, db: Db): void {
  route(router, api.equipment.list, ({ query }) =>
    pageOfRecords(db, 'equipment', equipmentSchema, query, listEquipment),
  );
  route(router, api.equipment.create, ({ body }) => write(db, (trx) => createEquipment(trx, body)));
  route(router, api.equipment.update, ({ params: { id }, body }) =>
    write(db, async (trx) => {
      await updateEquipment(trx, id, body);
      return found(await findEquipment(trx, id), 'cup or blower');
    }),
  );
  route(router, api.equipment.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'equipment', { id, version }, timestamp(), (trx) => findEquipment(trx, id)),
  );
  route(router, api.equipment.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'equipment', { id, version }, null, (trx) => findEquipment(trx, id)),
  );
}
