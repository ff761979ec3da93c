import { randomUUID } from 'node:crypto';
import type { Material, MaterialCreate, MaterialUpdate } from '@icy-ribbon/contract';
import { isPaint, materialKind, pigmentDensity, type MaterialKind } from '@icy-ribbon/core/paint/material';
import { sql, type Selectable } from 'kysely';
import {
  withoutUndefined,
  newRecord,
  timestamp,
  updateVersioned,
  type Reader,
  type Writer,
} from '../db/record.ts';
import type { MaterialTable } from '../db/schema.ts';

const toMaterial = ({ countedAfterSeq, ...row }: Selectable<MaterialTable>): Material => {
  void countedAfterSeq;
  return { ...row, canBuy: row.canBuy === 1 };
};

export interface ShelfQuery {
  readonly page: number;
  readonly pageSize: number;
  readonly q?: string | undefined;
  readonly archived: 'yes' | 'no';
}

export async function pageOfMaterials(
  db: Reader,
  { page, pageSize, q, archived }: ShelfQuery,
): Promise<{ items: Material[]; total: number; page: number; pageSize: number }> {
  let matching = db.selectFrom('material').where('deletedAt', archived === 'yes' ? 'is not' : 'is', null);
  if (q) matching = matching.where('name', 'like', `%${q}%`);
  const { total } = await matching
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  const rows = await matching
    .selectAll()
    .orderBy('kind')
    .orderBy('name')
    .limit(pageSize)
    .offset((page - 1) * pageSize)
    .execute();
  return { items: rows.map(toMaterial), total, page, pageSize };
}

/**
 * Milligrams weighed in of each material since its stock was counted.
 *
 * SQL: from the few materials that were counted to their ingredients to what was weighed in, in this order. What was
 * weighed in here goes by its number: a clock that was set back must not lose any.
 */
export async function usedSinceCount(db: Reader): Promise<Map<string, number>> {
  const { rows } = await sql<{ id: string; usedMg: number }>`
    SELECT material.id, sum(mixAddition.mg) AS usedMg
    FROM material
    CROSS JOIN mixIngredient ON mixIngredient.materialId = material.id
    CROSS JOIN mix ON mix.id = mixIngredient.cupId AND mix.deletedAt IS NULL
    CROSS JOIN mixAddition ON mixAddition.cupId = mix.id AND mixAddition.ingredientId = mixIngredient.id
    WHERE material.stockCountedAt IS NOT NULL
      AND mixAddition.voidedAt IS NULL AND mixAddition.source != 'poured'
      AND CASE WHEN material.countedAfterSeq IS NULL OR mixAddition.imported = 1
        THEN mixAddition.at > material.stockCountedAt
        ELSE mixAddition.seq > material.countedAfterSeq END
    GROUP BY material.id`.execute(db);
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

const TUBES: MaterialKind[] = ['heavy-body-tube', 'artist-tube', 'student-tube'];

/** What a recipe takes from the shelf when it asks for a kind: the oldest of it. */
export interface ShelfByKind {
  ofKind(kind: MaterialKind): Material | undefined;
  /** White tube paint. */
  white(): Material | undefined;
}

export async function shelfByKind(db: Reader): Promise<ShelfByKind> {
  const onShelf = db.selectFrom('material').where('deletedAt', 'is', null);
  const oldest = await onShelf
    .selectAll()
    .where(sql<boolean>`rowid IN (SELECT min(rowid) FROM material WHERE deletedAt IS NULL GROUP BY kind)`)
    .execute();
  const white = await onShelf
    .selectAll()
    .where('pigment', '=', 'titanium-white')
    .where('kind', 'in', TUBES)
    .orderBy(sql`rowid`)
    .executeTakeFirst();
  const byKind = new Map(oldest.map((row) => [row.kind, toMaterial(row)]));
  return { ofKind: (kind) => byKind.get(kind), white: () => white && toMaterial(white) };
}

/** Puts a material on the shelf; what was not given starts from the kind's typical value. */
export async function createMaterial(trx: Writer, input: MaterialCreate): Promise<Material> {
  const id = input.id ?? randomUUID();
  const existing = await findMaterial(trx, id);
  if (existing) return existing;
  const material = materialOf({ ...input, id }, timestamp());
  await insertMaterial(trx, material, input.stockMg === null ? null : await lastAddition(trx));
  return material;
}

const AT_ONCE = 500;

/** Many at once; those whose ids are there already are left as they are. @returns how many came in */
export async function insertMaterials(trx: Writer, inputs: readonly MaterialCreate[]): Promise<number> {
  const at = timestamp();
  const last = await lastAddition(trx);
  let added = 0;
  for (let from = 0; from < inputs.length; from += AT_ONCE) {
    const rows = inputs.slice(from, from + AT_ONCE).map((input) => {
      const material = materialOf({ ...input, id: input.id ?? randomUUID() }, at);
      const countedAfterSeq = material.stockMg === null ? null : last;
      return { ...material, canBuy: Number(material.canBuy), countedAfterSeq };
    });
    const result = await trx
      .insertInto('material')
      .values(rows)
      .onConflict((conflict) => conflict.column('id').doNothing())
      .executeTakeFirst();
    added += Number(result.numInsertedOrUpdatedRows ?? 0n);
  }
  return added;
}

/** A material as it is entered, with what is typical of its kind. */
export function materialOf(input: MaterialCreate & { readonly id: string }, at: string): Material {
  const kind = materialKind(input.kind);
  const typicalDensity =
    (isPaint(input.kind) ? pigmentDensity(input.pigment) : undefined) ?? kind.densityGPerMl;
  return {
    ...newRecord(input.id, at),
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
    stockCountedAt: input.stockMg === null ? null : at,
    openedOn: input.openedOn,
    canBuy: input.canBuy,
    solids: input.solids,
    waterLimit: input.waterLimit,
    tintingStrength: input.tintingStrength,
    note: input.note,
  };
}

/** @param countedAfterSeq the last addition before its stock was counted here */
export async function insertMaterial(
  trx: Writer,
  material: Material,
  countedAfterSeq: number | null = null,
): Promise<void> {
  await trx
    .insertInto('material')
    .values({ ...material, canBuy: Number(material.canBuy), countedAfterSeq })
    .execute();
}

async function lastAddition(trx: Writer): Promise<number> {
  const { last } = await trx
    .selectFrom('mixAddition')
    .select(({ fn }) => fn.max('seq').as('last'))
    .executeTakeFirstOrThrow();
  return Number(last ?? 0);
}

export async function updateMaterial(
  trx: Writer,
  id: string,
  { version, canBuy, ...changes }: MaterialUpdate,
): Promise<void> {
  const counted =
    changes.stockMg === undefined
      ? {}
      : changes.stockMg === null
        ? { stockCountedAt: null, countedAfterSeq: null }
        : { stockCountedAt: timestamp(), countedAfterSeq: await lastAddition(trx) };
  await updateVersioned(
    trx,
    'material',
    { id, version },
    { ...withoutUndefined(changes), ...counted, ...(canBuy !== undefined && { canBuy: Number(canBuy) }) },
    () => findMaterial(trx, id),
  );
}
