import type { Judgement, JudgementPut } from '@icy-ribbon/contract';
import { timestamp, type Reader, type Writer } from '../db/record.ts';
import { notFound, stale } from '../http/problem.ts';

export async function judgementsOf(db: Reader, pieceIds: readonly string[]): Promise<Map<string, Judgement>> {
  const rows = await db.selectFrom('judgement').selectAll().where('pieceId', 'in', pieceIds).execute();
  return new Map(rows.map(({ pieceId, ...judgement }) => [pieceId, judgement]));
}

/**
 * Writes a piece's judgement: the first one with version 0, later ones with the version they started from.
 *
 * @throws HttpProblem 404 without the piece, 409 with the present judgement when the version is stale
 */
export async function putJudgement(
  trx: Writer,
  pieceId: string,
  { version, ...judged }: JudgementPut,
): Promise<Judgement> {
  const piece = await trx
    .selectFrom('piece')
    .select('id')
    .where('id', '=', pieceId)
    .where('deletedAt', 'is', null)
    .executeTakeFirst();
  if (!piece) throw notFound('piece');
  const current = (await judgementsOf(trx, [pieceId])).get(pieceId);
  if ((current?.version ?? 0) !== version) throw stale(current ?? null);
  const at = timestamp();
  const judgement: Judgement = {
    ...judged,
    version: version + 1,
    createdAt: current?.createdAt ?? at,
    updatedAt: at,
  };
  if (current) {
    await trx.updateTable('judgement').set(judgement).where('pieceId', '=', pieceId).execute();
  } else {
    await insertJudgement(trx, pieceId, judgement);
  }
  return judgement;
}

export async function insertJudgement(trx: Writer, pieceId: string, judgement: Judgement): Promise<void> {
  await trx
    .insertInto('judgement')
    .values({ ...judgement, pieceId })
    .execute();
}
