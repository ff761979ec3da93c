import type { Archive, ArchiveResult } from '@icy-ribbon/contract';
import type { Writer } from '../db/record.ts';
import { insertCalibration, findCalibration } from '../calibration/calibration.queries.ts';
import { findEquipment, insertEquipment } from '../equipment/equipment.queries.ts';
import { findMaterial, insertMaterial } from '../material/material.queries.ts';
import { insertPiece } from '../piece/document.ts';
import { findPiece } from '../piece/piece.queries.ts';
import { findOwnRecipe, insertRecipe } from '../recipe/recipe.queries.ts';
import { findView, insertView } from '../result/views.queries.ts';
import { findSupport, insertSupport } from '../support/support.queries.ts';

/** Puts in what is not here yet; what is here already, by its id, is left as it is. */
export async function insertStudio(trx: Writer, archive: Archive): Promise<ArchiveResult> {
  await clearStarterShelf(trx);
  const put = async <Item extends { id: string }>(
    items: readonly Item[],
    find: (trx: Writer, id: string) => Promise<unknown>,
    insert: (trx: Writer, item: Item) => Promise<unknown>,
  ) => {
    let added = 0;
    for (const item of items) {
      if (await find(trx, item.id)) continue;
      await insert(trx, item);
      added += 1;
    }
    return { added, kept: items.length - added };
  };
  const details = new Map(archive.details.map(({ photoId, detail }) => [photoId, detail]));
  return {
    materials: await put(archive.materials, findMaterial, insertMaterial),
    supports: await put(archive.supports, findSupport, insertSupport),
    equipment: await put(archive.equipment, findEquipment, insertEquipment),
    recipes: await put(archive.recipes, findOwnRecipe, insertRecipe),
    calibrations: await put(archive.calibrations, findCalibration, insertCalibration),
    views: await put(archive.views, findView, insertView),
    pieces: await put(archive.pieces, findPiece, (writer, piece) =>
      insertPiece(writer, piece, (photoId) => details.get(photoId) ?? null),
    ),
  };
}

/** A studio without pieces has only the shelf that it started with, which makes room for the one that comes in. */
async function clearStarterShelf(trx: Writer): Promise<void> {
  const piece = await trx.selectFrom('piece').select('id').limit(1).executeTakeFirst();
  if (piece) return;
  for (const table of ['material', 'support', 'equipment'] as const) {
    await trx.deleteFrom(table).where('version', '=', 1).execute();
  }
}
