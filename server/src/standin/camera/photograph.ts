import type { PhotoState } from '@icy-ribbon/contract';
import type { MakeKernel } from '@icy-ribbon/core/flow/solver';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import type { Reader } from '../../db/record.ts';
import { found } from '../../db/record.ts';
import { findPiece } from '../../piece/piece.queries.ts';
import { photographPour, seedOfPiece } from './camera.ts';

export interface Shutter {
  readonly pieceId: string;
  readonly state: PhotoState;
  readonly megapixels: number;
}

/** A JPEG of a piece as the camera stand-in sees it. */
export async function photographPiece(
  db: Reader,
  makeFilm: MakeKernel,
  { pieceId, state, megapixels }: Shutter,
): Promise<Uint8Array> {
  const piece = found(await findPiece(db, pieceId), 'piece');
  const { jpeg } = await photographPour(pourRecordOf(piece), makeFilm, {
    seed: seedOfPiece(piece),
    megapixels,
    moment: state,
  });
  return jpeg;
}
