import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type Archive } from '@icy-ribbon/contract';
import { listCalibrations } from '../calibration/calibration.queries.ts';
import type { Db } from '../db/open.ts';
import { listEquipment } from '../equipment/equipment.queries.ts';
import { allMaterials } from '../material/material.queries.ts';
import { findDetail } from '../photo/photo.queries.ts';
import { readPieces } from '../piece/piece.queries.ts';
import { listRecipes } from '../recipe/recipe.queries.ts';
import { listViews } from '../result/views.queries.ts';
import { allSupports } from '../support/support.queries.ts';

const BATCH = 200;

/** Everything that is kept, photos' files aside: what was deleted stays out, but for materials and supports that pieces refer to. */
export async function collectStudio(db: Db): Promise<Archive> {
  const ids = await db
    .selectFrom('piece')
    .select('id')
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .orderBy('id')
    .execute();
  const pieces: Archive['pieces'] = [];
  for (let from = 0; from < ids.length; from += BATCH) {
    const batch = ids.slice(from, from + BATCH).map(({ id }) => id);
    const read = await readPieces(db, batch);
    pieces.push(...batch.map((id) => read.find((piece) => piece.id === id)!));
  }
  const details: Archive['details'] = [];
  for (const photo of pieces.flatMap((piece) => piece.photos)) {
    const detail = await findDetail(db, photo.id);
    if (detail) details.push({ photoId: photo.id, detail });
  }
  return {
    format: ARCHIVE_FORMAT,
    formatVersion: ARCHIVE_VERSION,
    materials: await allMaterials(db),
    supports: await allSupports(db),
    equipment: await listEquipment(db),
    recipes: await listRecipes(db),
    calibrations: await listCalibrations(db),
    views: await listViews(db),
    pieces,
    details,
  };
}
