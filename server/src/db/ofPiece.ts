import { notFound, stale } from '../http/problem.ts';
import { timestamp, type Reader, type Writer } from './record.ts';

/** A record of which a piece has one: version 0 stands for none yet. */
interface OneOfPiece {
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

/** @throws HttpProblem 404 when the piece is not there or deleted */
export async function requirePiece(trx: Reader, pieceId: string): Promise<void> {
  const piece = await trx
    .selectFrom('piece')
    .select('id')
    .where('id', '=', pieceId)
    .where('deletedAt', 'is', null)
    .executeTakeFirst();
  if (!piece) throw notFound('piece');
}

/**
 * Version and times of a piece's next judgement or plan.
 *
 * @param version the one it was edited from
 * @throws HttpProblem 404 without the piece, 409 with the present record when the version is stale
 */
export async function nextOfPiece(
  trx: Writer,
  pieceId: string,
  version: number,
  current: OneOfPiece | undefined,
): Promise<OneOfPiece> {
  await requirePiece(trx, pieceId);
  if ((current?.version ?? 0) !== version) throw stale(current ?? null);
  const at = timestamp();
  return { version: version + 1, createdAt: current?.createdAt ?? at, updatedAt: at };
}
