import type { Judgement, JudgementPut } from '@icy-ribbon/contract';
import { fromJson, toJson } from '../db/json.ts';
import { nextOfPiece } from '../db/ofPiece.ts';
import type { Reader, Writer } from '../db/record.ts';

export async function judgementsOf(db: Reader, pieceIds: readonly string[]): Promise<Map<string, Judgement>> {
  const rows = await db.selectFrom('judgement').selectAll().where('pieceId', 'in', pieceIds).execute();
  return new Map(
    rows.map(({ pieceId, faults, ...judgement }) => [pieceId, { ...judgement, faults: fromJson(faults) }]),
  );
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
  const current = (await judgementsOf(trx, [pieceId])).get(pieceId);
  const judgement: Judgement = { ...judged, ...(await nextOfPiece(trx, pieceId, version, current)) };
  if (current) {
    await trx.updateTable('judgement').set(toColumns(judgement)).where('pieceId', '=', pieceId).execute();
  } else {
    await insertJudgement(trx, pieceId, judgement);
  }
  return judgement;
}

export async function insertJudgement(trx: Writer, pieceId: string, judgement: Judgement): Promise<void> {
  await trx
    .insertInto('judgement')
    .values({ ...toColumns(judgement), pieceId })
    .execute();
}

const toColumns = (judgement: Judgement) => ({ ...judgement, faults: toJson(judgement.faults) });
