import { picturesOf, type PhotoDetail, type Piece } from '@icy-ribbon/contract';
import { insertCare } from '../care/care.queries.ts';
import type { Writer } from '../db/record.ts';
import { insertJudgement } from '../judgement/judgement.queries.ts';
import { insertMix } from '../mix/mix.queries.ts';
import { insertPhoto } from '../photo/photo.queries.ts';
import { insertPlan } from '../plan/plan.queries.ts';
import { insertEvents } from '../pour/pour.queries.ts';
import { insertReadings } from '../reading/reading.queries.ts';
import { insertPieceRow } from './piece.queries.ts';

/**
 * Writes a whole piece; its support and materials must be there.
 *
 * @param imported 1 when it comes from a file: what was weighed in goes by its time then, not by its number
 */
export async function insertPiece(
  trx: Writer,
  piece: Piece,
  detailOf: (photoId: string) => PhotoDetail | null,
  imported: 0 | 1 = 0,
): Promise<void> {
  await insertPieceRow(trx, piece);
  for (const mix of piece.mixes) await insertMix(trx, mix, imported);
  await insertReadings(trx, piece.id, piece.readings);
  await insertEvents(trx, piece.id, piece.events);
  await insertCare(trx, piece.id, piece.care);
  for (const photo of picturesOf(piece))
    await insertPhoto(trx, { ...photo, original: null }, detailOf(photo.id));
  if (piece.plan) await insertPlan(trx, piece.id, piece.plan);
  if (piece.judgement) await insertJudgement(trx, piece.id, piece.judgement);
}
