import { randomUUID } from 'node:crypto';
import type { Material, MaterialCreate, MaterialUpdate } from '@icy-ribbon/contract';
import { isPaint, materialKind, pigmentDensity, type MaterialKind } from '@icy-ribbon/core/material';
import type { Selectable } from 'kysely';
import { given, newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';
import type { MaterialTable } from '../db/schema.ts';

/** The columns are those of the contract; its schema checks the unions on the way out. */
export const toMaterial = (row: Selectable<MaterialTable>): Material => row as Material;

export async function listMaterials(
  db: Reader,
  options: { page: number; pageSize: number; q?: string | undefined },
): Promise<{ items: Material[]; total: number; page: number; pageSize: number }> {
  let matching = db.selectFrom('material').where('deletedAt', 'is', null);
  if (options.q) matching = matching.where('name', 'like', `%${options.q}%`);
  const { total } = await matching
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  const rows = await matching
    .selectAll()
    .orderBy('kind')
    .orderBy('name')
    .limit(options.pageSize)
    .offset((options.page - 1) * options.pageSize)
    .execute();
  return { items: rows.map(toMaterial), total, page: options.page, pageSize: options.pageSize };
}

export async function findMaterial(db: Reader, id: string): Promise<Material | undefined> {
  const row = await db.selectFrom('material').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toMaterial(row);
}

/** The shelf's oldest material of a kind: what a recipe takes when it asks for the kind. */
export async function materialOfKind(db: Reader, kind: MaterialKind): Promise<Material | undefined> {
  const row = await db
    .selectFrom('material')
    .selectAll()
    .where('kind', '=', kind)
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .orderBy('name')
    .limit(1)
    .executeTakeFirst();
  return row && toMaterial(row);
}

/** Puts a material on the shelf; what was not given starts from the kind's typical value. */
export async function createMaterial(trx: Writer, input: MaterialCreate): Promise<Material> {
  const id = input.id ?? randomUUID();
  const existing = await findMaterial(trx, id);
  if (existing) return existing;
  const kind = materialKind(input.kind);
  const typicalDensity =
    (isPaint(input.kind) ? pigmentDensity(input.pigment) : undefined) ?? kind.densityGPerMl;
  const material: Material = {
    ...newRecord(id, timestamp()),
    name: input.name,
    kind: input.kind,
    colorHex: input.colorHex,
    finish: input.finish,
    opacity: input.opacity,
    pigment: input.pigment,
    densityGPerMl: input.densityGPerMl ?? typicalDensity,
    densityTrust: input.densityGPerMl === undefined ? 'typical' : 'measured',
    viscosityPaS: input.viscosityPaS ?? kind.viscosityPaS,
    viscosityTrust: input.viscosityPaS === undefined ? 'typical' : 'measured',
    note: input.note,
  };
  await insertMaterial(trx, material);
  return material;
}

export async function insertMaterial(trx: Writer, material: Material): Promise<void> {
  await trx.insertInto('material').values(material).execute();
}

export async function updateMaterial(
  trx: Writer,
  id: string,
  { version, ...changes }: MaterialUpdate,
): Promise<void> {
  await updateVersioned(trx, 'material', { id, version }, given(changes), () => findMaterial(trx, id));
}
