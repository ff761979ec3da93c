import { readingSchema } from '@icy-ribbon/contract';
import { learnedMaterials, type LearnCup, type LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import { cached } from '../db/cached.ts';
import type { Db } from '../db/open.ts';
import { readable } from '../db/readable.ts';
import type { Reader } from '../db/record.ts';
import { readingsOf } from './reading.queries.ts';

/** The same, worked out anew only after a reading or a material has changed. */
export const learnedCached = (db: Db, exceptPieceId: string | null): Promise<Map<string, LearnedThickness>> =>
  cached(db, 'learned', exceptPieceId ?? '', () => learnedFromReadings(db, exceptPieceId));

/**
 * What readings of all pieces but one taught about each material. Each is learned anew from its entry on
 * the shelf, so that nothing counts twice.
 *
 * @param exceptPieceId the piece whose own readings are reckoned with its cups
 */
export async function learnedFromReadings(
  db: Reader,
  exceptPieceId: string | null = null,
): Promise<Map<string, LearnedThickness>> {
  const pieces = await db
    .selectFrom('reading')
    .innerJoin('piece', 'piece.id', 'reading.pieceId')
    .select('reading.pieceId')
    .distinct()
    .where('piece.deletedAt', 'is', null)
    .where('reading.struckAt', 'is', null)
    .execute();
  const pieceIds = pieces.map((row) => row.pieceId).filter((id) => id !== exceptPieceId);
  if (pieceIds.length === 0) return new Map();
  // A reading that was damaged teaches nothing, and takes no other with it.
  const readings = readable(readingSchema, await readingsOf(db, pieceIds));
  const cupIds = [...new Set(readings.flatMap((reading) => reading.cupId ?? []))];
  return learnedMaterials(await cupsOf(db, cupIds), readings);
}

/** Cups with their materials as the shelf has them now, before anything was learned. */
async function cupsOf(db: Reader, cupIds: readonly string[]): Promise<LearnCup[]> {
  if (cupIds.length === 0) return [];
  const rows = await db
    .selectFrom('mixIngredient')
    .innerJoin('material', 'material.id', 'mixIngredient.materialId')
    .select([
      'mixIngredient.id',
      'mixIngredient.cupId',
      'material.id as materialId',
      'material.kind',
      'material.viscosityPaS',
      'material.viscosityTrust',
    ])
    .where('mixIngredient.cupId', 'in', cupIds)
    .orderBy('mixIngredient.position')
    .execute();
  const cups = new Map<string, LearnCup['ingredients'][number][]>();
  for (const { id, cupId, ...material } of rows) {
    cups.set(cupId, [...(cups.get(cupId) ?? []), { id, material }]);
  }
  return [...cups].map(([id, ingredients]) => ({ id, ingredients }));
}
