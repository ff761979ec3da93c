import { randomUUID } from 'node:crypto';
import type { Calibration, CalibrationCreate } from '@icy-ribbon/contract';
import { calibrateConstant, calibrateDrainCup } from '@icy-ribbon/core/thickness/reading';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { newRecord, timestamp, type Reader, type Writer } from '../db/record.ts';
import type { CalibrationTable } from '../db/schema.ts';
import { ALL, rowsOf, type Page } from '../db/page.ts';

const toCalibration = ({ points, ...row }: Selectable<CalibrationTable>): Calibration =>
  ({ ...row, points: fromJson(points) as unknown }) as Calibration;

/** The newest first. */
export async function listCalibrations(db: Reader, page: Page = ALL): Promise<Calibration[]> {
  const rows = await db
    .selectFrom('calibration')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('createdAt', 'desc')
    .limit(rowsOf(page).limit)
    .offset(rowsOf(page).offset)
    .execute();
  return rows.map(toCalibration);
}

export async function findCalibration(db: Reader, id: string): Promise<Calibration | undefined> {
  const row = await db.selectFrom('calibration').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toCalibration(row);
}

/** @throws InputError naming the point from which no constant can be computed */
export async function createCalibration(trx: Writer, input: CalibrationCreate): Promise<Calibration> {
  const { id = randomUUID(), kind, name, points } = input;
  const existing = await findCalibration(trx, id);
  if (existing) return existing;
  if (kind === 'drain-cup') calibrateDrainCup(points);
  else calibrateConstant(kind, points);
  await insertCalibration(trx, { ...newRecord(id, timestamp()), kind, name, points } as Calibration);
  return (await findCalibration(trx, id))!;
}

export async function insertCalibration(trx: Writer, { points, ...row }: Calibration): Promise<void> {
  await trx
    .insertInto('calibration')
    .values({ ...row, points: toJson(points) })
    .execute();
}
