import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, setDeleted, timestamp } from '../db/record.ts';
import { route } from '../http/route.ts';
import { createMaterial, findMaterial, listMaterials, updateMaterial } from './material.queries.ts';

export function materialRoutes(router: Router, db: Db): void {
  route(router, api.materials.list, ({ query }) => listMaterials(db, query));
  route(router, api.materials.create, ({ body }) =>
    db.transaction().execute((trx) => createMaterial(trx, body)),
  );
  route(router, api.materials.importAll, ({ body }) =>
    db.transaction().execute(async (trx) => {
      for (const material of body.materials) await createMaterial(trx, material);
      return { added: body.materials.length };
    }),
  );
  route(router, api.materials.bulk, ({ body }) =>
    db.transaction().execute(async (trx) => {
      for (const { id, version } of body.materials) {
        await updateMaterial(trx, id, { ...body.changes, version });
      }
      return { changed: body.materials.length };
    }),
  );
  route(router, api.materials.update, ({ params: { id }, body }) =>
    db.transaction().execute(async (trx) => {
      await updateMaterial(trx, id, body);
      return found(await findMaterial(trx, id), 'material');
    }),
  );
  route(router, api.materials.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'material', { id, version }, timestamp(), (trx) => findMaterial(trx, id)),
  );
  route(router, api.materials.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'material', { id, version }, null, (trx) => findMaterial(trx, id)),
  );
}
