import type { PiecePlan, PiecePlanPut } from '@icy-ribbon/contract';
import { fromJson, toJson } from '../db/json.ts';
import { nextOfPiece } from '../db/ofPiece.ts';
import type { Reader, Writer } from '../db/record.ts';
import { unfit } from '../http/problem.ts';

export async function plansOf(db: Reader, pieceIds: readonly string[]): Promise<Map<string, PiecePlan>> {
  const rows = await db.selectFrom('plan').selectAll().where('pieceId', 'in', pieceIds).execute();
  return new Map(rows.map(({ pieceId, body, ...envelope }) => [pieceId, { ...fromJson(body), ...envelope }]));
}

/**
 * Writes a piece's plan: the first one with version 0, later ones with the version they started from.
 *
 * @throws HttpProblem 404 without the piece, 409 with the present plan when the version is stale, 422 when
 * it pours a cup of another piece
 */
export async function putPlan(
  trx: Writer,
  pieceId: string,
  { version, ...body }: PiecePlanPut,
): Promise<PiecePlan> {
  const current = (await plansOf(trx, [pieceId])).get(pieceId);
  const plan: PiecePlan = { ...body, ...(await nextOfPiece(trx, pieceId, version, current)) };
  await requireOwnPaints(trx, pieceId, body);
  if (current) {
    await trx.updateTable('plan').set(row(plan)).where('pieceId', '=', pieceId).execute();
  } else {
    await insertPlan(trx, pieceId, plan);
  }
  return plan;
}

export async function insertPlan(trx: Writer, pieceId: string, plan: PiecePlan): Promise<void> {
  await trx
    .insertInto('plan')
    .values({ ...row(plan), pieceId })
    .execute();
}

function row({ version, createdAt, updatedAt, ...body }: PiecePlan) {
  return { body: toJson(body), version, createdAt, updatedAt };
}

/** The paints a plan pours, by id. */
function pouredIn(plan: Pick<PiecePlan, 'base' | 'stacks' | 'paths'>): string[] {
  return [
    ...(plan.base?.areas ?? []),
    ...plan.stacks.flatMap((stack) => stack.layers),
    ...plan.paths.flatMap((path) => path.layers),
  ].map(({ cupId }) => cupId);
}

/** A cup that was thrown out may still stand in a plan; another piece's may not. */
async function requireOwnPaints(
  trx: Writer,
  pieceId: string,
  plan: Omit<PiecePlanPut, 'version'>,
): Promise<void> {
  const cups = await trx.selectFrom('mix').select('id').where('pieceId', '=', pieceId).execute();
  const known = new Set([...cups.map(({ id }) => id), ...plan.planned.map(({ id }) => id)]);
  if (pouredIn(plan).some((id) => !known.has(id))) {
    throw unfit('planned', 'The plan pours a paint that is no cup of this piece: put it on the bench first.');
  }
}
