import { pourEventSchema, type LayerEvent, type PourEvent } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { laidMgOf, layProblem, inForce, logWithout } from '@icy-ribbon/core/piece/event';
import { fromJson, toJson } from '../db/json.ts';
import { found, insertRows, type Reader, type Writer } from '../db/record.ts';
import { requirePiece } from '../db/ofPiece.ts';
import { readable } from '../db/readable.ts';
import { taken, unfit } from '../http/problem.ts';
import { findMix } from '../mix/mix.queries.ts';

/** The whole logs of some pieces, in the order they were written, struck-out events included. */
export async function eventsOf(
  db: Reader,
  pieceIds: readonly string[],
): Promise<(PourEvent & { pieceId: string })[]> {
  const rows = await db
    .selectFrom('pourEvent')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .orderBy('seq')
    .execute();
  return rows.map(
    ({ id, pieceId, kind, at, data, insteadOf }) =>
      ({
        id,
        pieceId,
        kind,
        at,
        data: fromJson(data),
        ...(insteadOf !== null && { insteadOf }),
      }) as PourEvent & { pieceId: string },
  );
}

/**
 * Appends an event to a pour's log. An event whose id is there already changes nothing.
 *
 * @throws HttpProblem 404 without the piece, 422 when the event cannot have happened
 */
export async function appendEvent(
  trx: Writer,
  pieceId: string,
  event: PourEvent,
): Promise<{ events: PourEvent[] }> {
  await requirePiece(trx, pieceId);
  const log = await eventsOf(trx, [pieceId]);
  if (!log.some((each) => each.id === event.id)) {
    await requireFresh(trx, event.id);
    await requirePossible(trx, pieceId, event, log);
    await insertEvents(trx, pieceId, [event]);
  }
  return { events: readable(pourEventSchema, await eventsOf(trx, [pieceId])) };
}

async function requireFresh(trx: Writer, id: string): Promise<void> {
  const known = await trx.selectFrom('pourEvent').select('id').where('id', '=', id).executeTakeFirst();
  if (known) throw taken('piece');
}

export const insertEvents = (trx: Writer, pieceId: string, events: readonly PourEvent[]): Promise<void> =>
  insertRows(
    trx,
    'pourEvent',
    events.map(({ id, kind, at, data, insteadOf = null }) => ({
      ...{ id, pieceId, kind, at, insteadOf },
      data: toJson(data),
    })),
  );

async function requirePossible(
  trx: Writer,
  pieceId: string,
  event: PourEvent,
  log: readonly PourEvent[],
): Promise<void> {
  if (event.kind === 'void') {
    const target = inForce(log).find((each) => each.id === event.data.eventId);
    if (!target) throw unfit('data.eventId', 'This event is not in the log, or was taken back.');
  }
  if (event.insteadOf !== undefined) {
    const target = inForce(log).find((each) => each.id === event.insteadOf);
    if (!target)
      throw unfit('insteadOf', 'This event is not in the log, or was changed or taken back meanwhile.');
    if (target.kind !== event.kind || target.kind === 'plan') {
      throw unfit('insteadOf', 'A correction is of the same kind as what it corrects.');
    }
  }
  if (event.kind === 'layer') await requireInCup(trx, pieceId, event, log);
}

async function requireInCup(
  trx: Writer,
  pieceId: string,
  event: LayerEvent,
  log: readonly PourEvent[],
): Promise<void> {
  const mix = found(await findMix(trx, event.data.cupId), 'cup');
  if (mix.pieceId !== pieceId || mix.deletedAt !== null) {
    throw unfit('data.cupId', 'This cup does not belong to the piece.');
  }
  const { leftMg } = cupState(mix, laidMgOf(logWithout(log, event.insteadOf), mix.id));
  const problem = layProblem({ name: mix.name, leftMg }, event.data.mg);
  if (problem) throw unfit('data.mg', problem);
}
