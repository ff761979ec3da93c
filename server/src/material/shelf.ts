import { shelvedMaterialSchema } from '@icy-ribbon/contract';
import { readable } from '../db/readable.ts';
import type { Db } from '../db/open.ts';
import { learnedCached } from '../reading/learned.queries.ts';
import { dryShiftsCached } from './dryShift.queries.ts';
import { pageOfMaterials, usedSinceCount, type ShelfQuery } from './material.queries.ts';

/** One page of the shelf, each material with what its use has told of it, as JSON text. */
export async function shelfText(db: Db, query: ShelfQuery): Promise<string> {
  const { items, ...page } = await pageOfMaterials(db, query);
  const used = await usedSinceCount(db);
  const shifts = await dryShiftsCached(db);
  const learned = await learnedCached(db, null);
  const shelved = items.map((material) => ({
    ...material,
    usedMg: used.get(material.id) ?? 0,
    learned: learned.get(material.id) ?? null,
    dryShift: shifts.get(material.id) ?? null,
  }));
  return JSON.stringify({ items: readable(shelvedMaterialSchema, shelved), ...page });
}
