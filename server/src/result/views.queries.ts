import { randomUUID } from 'node:crypto';
import type { SavedView, SavedViewCreate } from '@icy-ribbon/contract';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { newRecord, timestamp, type Reader, type Writer } from '../db/record.ts';
import type { SavedViewTable } from '../db/schema.ts';
import { ALL, rowsOf, type Page } from '../db/page.ts';

const toView = ({ filter, ...row }: Selectable<SavedViewTable>): SavedView => ({
  ...row,
  filter: fromJson(filter),
});

export async function listViews(db: Reader, page: Page = ALL): Promise<SavedView[]> {
  const rows = await db
    .selectFrom('savedView')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('name')
    .limit(rowsOf(page).limit)
    .offset(rowsOf(page).offset)
    .execute();
  return rows.map(toView);
}

export async function findView(db: Reader, id: string): Promise<SavedView | undefined> {
  const row = await db.selectFrom('savedView').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toView(row);
}

export async function saveView(trx: Writer, input: SavedViewCreate): Promise<SavedView> {
  const id = input.id ?? randomUUID();
  const existing = await findView(trx, id);
  if (existing) return existing;
  const view: SavedView = { ...newRecord(id, timestamp()), name: input.name, filter: input.filter };
  await insertView(trx, view);
  return view;
}

export async function insertView(trx: Writer, { filter, ...view }: SavedView): Promise<void> {
  await trx
    .insertInto('savedView')
    .values({ ...view, filter: toJson(filter) })
    .execute();
}
