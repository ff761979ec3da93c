import type { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { readable } from '../db/readable.ts';
import { timestamp } from '../db/record.ts';
import type { Input, Records } from '../db/records.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from './route.ts';

type Kept = (typeof api)['supports'];
type Kinds = typeof api;
type RecordCalls = Kinds['supports' | 'equipment' | 'recipes' | 'calibrations' | 'drills' | 'views'];

/** The calls of a kind of record: listed, added, changed where that can be, taken away, brought back. */
export function recordRoutes<Shown, Create extends Input>(
  router: Router,
  db: Db,
  calls: RecordCalls,
  records: Records<Shown, Create>,
): void {
  const { table, schema } = records.kind;
  // Each kind has the shapes of its own calls; here they are all alike.
  const { list, create, remove, restore } = calls as Kept;
  route(router, list, async ({ query }) => {
    const { total } = await db
      .selectFrom(table as 'support')
      .where('deletedAt', 'is', null)
      .select(({ fn }) => fn.countAll<number>().as('total'))
      .executeTakeFirstOrThrow();
    return { items: readable(schema, await records.list(db, query)), total, ...query } as never;
  });
  route(router, create, ({ body }) =>
    write(db, (trx) => records.create(trx, body as unknown as Create) as Promise<never>),
  );
  if ('update' in calls) {
    route(router, calls.update as Kept['update'], ({ params: { id }, body }) =>
      write(db, (trx) => records.update(trx, id, body) as Promise<never>),
    );
  }
  const deleted = (key: { id: string; version: number }, at: string | null) =>
    setDeleted(db, table, key, at, (trx) => records.find(trx, key.id)) as Promise<never>;
  route(router, remove, ({ params: { id }, query: { version } }) => deleted({ id, version }, timestamp()));
  route(router, restore, ({ params: { id }, body: { version } }) => deleted({ id, version }, null));
}
