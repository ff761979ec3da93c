import { api, supportSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { readable } from '../db/readable.ts';
import { found, timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { createSupport, findSupport, listSupports, updateSupport } from './support.queries.ts';

export function supportRoutes(router: Router, db: Db): void {
  route(router, api.supports.list, async ({ query }) => {
    const page = await listSupports(db, query);
    return { ...page, items: readable(supportSchema, page.items) };
  });
  route(router, api.supports.create, ({ body }) => write(db, (trx) => createSupport(trx, body)));
  route(router, api.supports.update, ({ params: { id }, body }) =>
    write(db, async (trx) => {
      await updateSupport(trx, id, body);
      return found(await findSupport(trx, id), 'support');
    }),
  );
  route(router, api.supports.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'support', { id, version }, timestamp(), (trx) => findSupport(trx, id)),
  );
  route(router, api.supports.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'support', { id, version }, null, (trx) => findSupport(trx, id)),
  );
}
