import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route, textRoute } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import { createMaterial, findMaterial, updateMaterial } from './material.queries.ts';

export function materialRoutes(router: Router, db: Db, tasks: Tasks): void {
  textRoute(router, api.materials.list, 'shelf', ({ query }) => tasks.run('shelf', query));
  route(router, api.materials.create, ({ body }) => write(db, (trx) => createMaterial(trx, body)));
  route(router, api.materials.bulk, ({ body }) =>
    write(db, async (trx) => {
      for (const { id, version } of body.materials) {
        await updateMaterial(trx, id, { ...body.changes, version });
      }
      return { changed: body.materials.length };
    }),
  );
  route(router, api.materials.update, ({ params: { id }, body }) =>
    write(db, async (trx) => {
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
