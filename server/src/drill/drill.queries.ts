import { randomUUID } from 'node:crypto';
import type { DrillRun, DrillRunCreate } from '@icy-ribbon/contract';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { ALL, rowsOf, type Page } from '../db/page.ts';
import { newRecord, timestamp, type Reader, type Writer } from '../db/record.ts';
import type { DrillRunTable } from '../db/schema.ts';

const toDrillRun = ({ answers, measures, ...row }: Selectable<DrillRunTable>): DrillRun =>
  ({ ...row, answers: fromJson(answers) as unknown, measures: fromJson(measures) as unknown }) as DrillRun;

/** The newest first. */
export async function listDrillRuns(db: Reader, page: Page = ALL): Promise<DrillRun[]> {
  const { limit, offset } = rowsOf(page);
  const rows = await db
    .selectFrom('drillRun')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('createdAt', 'desc')
    .orderBy('id')
    .limit(limit)
    .offset(offset)
    .execute();
  return rows.map(toDrillRun);
}

export async function findDrillRun(db: Reader, id: string): Promise<DrillRun | undefined> {
  const row = await db.selectFrom('drillRun').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toDrillRun(row);
}

/** Keeps a drill, once however often it is sent. */
export async function createDrillRun(trx: Writer, input: DrillRunCreate): Promise<DrillRun> {
  const { id = randomUUID(), ...played } = input;
  const existing = await findDrillRun(trx, id);
  if (existing) return existing;
  await insertDrillRun(trx, { ...newRecord(id, timestamp()), ...played });
  return (await findDrillRun(trx, id))!;
}

export async function insertDrillRun(trx: Writer, { answers, measures, ...row }: DrillRun): Promise<void> {
  await trx
    .insertInto('drillRun')
    .values({ ...row, answers: toJson(answers), measures: toJson(measures) })
    .execute();
}
