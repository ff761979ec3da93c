import { randomUUID } from 'node:crypto';
import type { Material, MaterialCreate, MaterialUpdate, ShelvedMaterial } from '@icy-ribbon/contract';
import { isPaint, materialKind, pigmentDensity, type MaterialKind } from '@icy-ribbon/core/material';
import type { Selectable } from 'kysely';
import { given, newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';
import type { MaterialTable } from '../db/schema.ts';
import { learnedFromReadings } from '../reading/learned.queries.ts';
import { dryShifts } from './dryShift.queries.ts';

/** The columns are those of the contract; its schema checks the unions on the way out. */
export const toMaterial = (row: Selectable<MaterialTable>): Material =>
  ({ ...row, canBuy: row.canBuy === 1 }) as Material;

export async function listMaterials(
  db: Reader,
  options: { page: number; pageSize: number; q?: string | undefined; archived: 'yes' | 'no' },
): Promise<{ items: ShelvedMaterial[]; total: number; page: number; pageSize: number }> {
  let matching = db
    .selectFrom('material')
    .where('deletedAt', options.archived === 'yes' ? 'is not' : 'is', null);
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
  const used = await usedSinceCount(db);
  const shifts = await dryShifts(db);
  const learned = await learnedFromReadings(db);
  const items = rows.map((row) => ({
    ...toMaterial(row),
    usedMg: used.get(row.id) ?? 0,
    learned: learned.get(row.id) ?? null,
    dryShift: shifts.get(row.id) ?? null,
  }));
  return { items, total, page: options.page, pageSize: options.pageSize };
}

/** Milligrams weighed in of each material since its stock was counted. */
async function usedSinceCount(db: Reader): Promise<Map<string, number>> {
  const rows = await db
    .selectFrom('mixAddition')
    .innerJoin('mixIngredient', 'mixIngredient.id', 'mixAddition.ingredientId')
    .innerJoin('material', 'material.id', 'mixIngredient.materialId')
    .innerJoin('mix', 'mix.id', 'mixAddition.mixId')
    .select(({ fn }) => ['material.id', fn.sum<number>('mixAddition.mg').as('usedMg')])
    .where('mixAddition.voidedAt', 'is', null)
    .where('mix.deletedAt', 'is', null)
    .where('mixAddition.source', '!=', 'poured')
    .whereRef('mixAddition.at', '>', 'material.stockCountedAt')
    .groupBy('material.id')
    .execute();
  return new Map(rows.map((row) => [row.id, row.usedMg]));
}

/** Every material, those taken off the shelf too: old cups refer to them. */
export async function allMaterials(db: Reader): Promise<Material[]> {
  const rows = await db.selectFrom('material').selectAll().orderBy('createdAt').orderBy('id').execute();
  return rows.map(toMaterial);
}

export async function findMaterial(db: Reader, id: string): Promise<Material | undefined> {
  const row = await db.selectFrom('material').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toMaterial(row);
}

/** What a recipe takes from the shelf when it asks for a kind: the oldest of it. */
export interface ShelfByKind {
  ofKind(kind: MaterialKind): Material | undefined;
  /** White tube paint. */
  white(): Material | undefined;
}

export async function shelfByKind(db: Reader): Promise<ShelfByKind> {
  const rows = await db
    .selectFrom('material')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .orderBy('name')
    .execute();
  const materials = rows.map(toMaterial);
  return {
    ofKind: (kind) => materials.find((each) => each.kind === kind),
    white: () => materials.find((each) => each.pigment === 'titanium-white' && each.kind.endsWith('-tube')),
  };
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
    dryColorHex: input.dryColorHex,
    finish: input.finish,
    opacity: input.opacity,
    pigment: input.pigment,
    densityGPerMl: input.densityGPerMl ?? typicalDensity,
    densityTrust: input.densityGPerMl === undefined ? 'typical' : 'measured',
    viscosityPaS: input.viscosityPaS ?? kind.viscosityPaS,
    viscosityTrust: input.viscosityPaS === undefined ? 'typical' : 'measured',
    priceCents: input.priceCents,
    packMg: input.packMg,
    stockMg: input.stockMg,
    stockCountedAt: input.stockMg === null ? null : timestamp(),
    openedOn: input.openedOn,
    canBuy: input.canBuy,
    solids: input.solids,
    waterLimit: input.waterLimit,
    note: input.note,
  };
  await insertMaterial(trx, material);
  return material;
}

export async function insertMaterial(trx: Writer, material: Material): Promise<void> {
  await trx
    .insertInto('material')
    .values({ ...material, canBuy: Number(material.canBuy) })
    .execute();
}

export async function updateMaterial(
  trx: Writer,
  id: string,
  { version, canBuy, ...changes }: MaterialUpdate,
): Promise<void> {
  const counted =
    changes.stockMg === undefined ? {} : { stockCountedAt: changes.stockMg === null ? null : timestamp() };
  await updateVersioned(
    trx,
    'material',
    { id, version },
    { ...given(changes), ...counted, ...(canBuy !== undefined && { canBuy: Number(canBuy) }) },
    () => findMaterial(trx, id),
  );
}
