import { randomUUID } from 'node:crypto';
import type { Equipment, EquipmentCreate, EquipmentUpdate } from '@icy-ribbon/contract';
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { sql, type Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';
import type { EquipmentTable } from '../db/schema.ts';
import { ALL, rowsOf, type Page } from '../db/page.ts';

const toEquipment = ({ body, ...row }: Selectable<EquipmentTable>): Equipment =>
  ({ ...row, ...(fromJson(body) as object) }) as Equipment;

export async function listEquipment(db: Reader, page: Page = ALL): Promise<Equipment[]> {
  const rows = await db
    .selectFrom('equipment')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('kind', 'desc')
    .orderBy('createdAt')
    .orderBy(sql`rowid`)
    .limit(rowsOf(page).limit)
    .offset(rowsOf(page).offset)
    .execute();
  return rows.map(toEquipment);
}

export async function findEquipment(db: Reader, id: string): Promise<Equipment | undefined> {
  const row = await db.selectFrom('equipment').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toEquipment(row);
}

export async function createEquipment(trx: Writer, input: EquipmentCreate): Promise<Equipment> {
  const { id = randomUUID(), kind, name, ...body } = input;
  const existing = await findEquipment(trx, id);
  if (existing) return existing;
  await insertEquipment(trx, { ...newRecord(id, timestamp()), kind, name, ...body } as Equipment);
  return (await findEquipment(trx, id))!;
}

export async function insertEquipment(trx: Writer, equipment: Equipment): Promise<void> {
  const { id, version, createdAt, updatedAt, deletedAt, kind, name, ...body } = equipment;
  const record = { id, version, createdAt, updatedAt, deletedAt };
  await trx
    .insertInto('equipment')
    .values({ ...record, kind, name, body: toJson(body) })
    .execute();
}

export async function updateEquipment(trx: Writer, id: string, input: EquipmentUpdate): Promise<void> {
  const { version, kind, name, ...body } = input;
  await updateVersioned(trx, 'equipment', { id, version }, { kind, name, body: toJson(body) }, () =>
    findEquipment(trx, id),
  );
}

const USUAL_VESSELS = [
  ['Lidded cup 60', 60],
  ['Lidded cup 150', 150],
  ['Bottle 60', 60],
  ['Tub 500', 500],
] as const;

/** The usual cups, and one blower of each kind with its typical exit. */
export async function stockEquipment(trx: Writer): Promise<void> {
  for (const [name, capacityMl] of USUAL_VESSELS) {
    await createEquipment(trx, { kind: 'vessel', name, capacityMl, tareMg: null });
  }
  for (const { tool, label, exitDiameterMm, exitSpeedMS } of AIR_TOOLS) {
    await createEquipment(trx, {
      kind: 'blower',
      name: label,
      tool,
      exitDiameterMm,
      exitSpeedMS,
      exitTrust: 'typical',
      baffle: false,
      note: '',
    });
  }
}
