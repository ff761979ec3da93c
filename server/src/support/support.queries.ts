import { randomUUID } from 'node:crypto';
import type { Support, SupportCreate, SupportUpdate } from '@icy-ribbon/contract';
import { newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';

export async function listSupports(
  db: Reader,
  options: { page: number; pageSize: number },
): Promise<{ items: Support[]; total: number; page: number; pageSize: number }> {
  const present = db.selectFrom('support').where('deletedAt', 'is', null);
  const { total } = await present
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  const rows = await present
    .selectAll()
    .orderBy('name')
    .limit(options.pageSize)
    .offset((options.page - 1) * options.pageSize)
    .execute();
  return { items: rows, total, page: options.page, pageSize: options.pageSize };
}

/** Every support, those taken off the shelf too: old pieces refer to them. */
export async function allSupports(db: Reader): Promise<Support[]> {
  return db.selectFrom('support').selectAll().orderBy('createdAt').orderBy('id').execute();
}

export async function findSupport(db: Reader, id: string): Promise<Support | undefined> {
  return db.selectFrom('support').selectAll().where('id', '=', id).executeTakeFirst();
}

/** Some supports by their ids, deleted or not. */
export async function supportsById(db: Reader, ids: readonly string[]): Promise<Map<string, Support>> {
  const rows = await db.selectFrom('support').selectAll().where('id', 'in', ids).execute();
  return new Map(rows.map((row) => [row.id, row]));
}

export async function createSupport(trx: Writer, input: SupportCreate): Promise<Support> {
  const { id = randomUUID(), ...sizing } = input;
  const existing = await findSupport(trx, id);
  if (existing) return existing;
  const support: Support = { ...newRecord(id, timestamp()), ...sizing };
  await insertSupport(trx, support);
  return support;
}

export async function insertSupport(trx: Writer, support: Support): Promise<void> {
  await trx.insertInto('support').values(support).execute();
}

export async function updateSupport(
  trx: Writer,
  id: string,
  { version, ...changes }: SupportUpdate,
): Promise<void> {
  await updateVersioned(trx, 'support', { id, version }, changes, () => findSupport(trx, id));
}
