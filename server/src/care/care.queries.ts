import { careEventSchema, type CareEvent } from '@icy-ribbon/contract';
import { careInForce } from '@icy-ribbon/core/piece/care';
import { fromJson, toJson } from '../db/json.ts';
import { requirePiece } from '../db/ofPiece.ts';
import { readable } from '../db/readable.ts';
import { insertRows, type Reader, type Writer } from '../db/record.ts';
import { EQUIPMENT } from '../equipment/equipment.ts';
import { taken, unfit } from '../http/problem.ts';
import { eventsOf } from '../pour/pour.queries.ts';

/** The logs after the pour of some pieces, in the order they were written, struck-out lines included. */
export async function careOf(
  db: Reader,
  pieceIds: readonly string[],
): Promise<(CareEvent & { pieceId: string })[]> {
  const rows = await db
    .selectFrom('careEvent')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .orderBy('seq')
    .execute();
  return rows.map(
    ({ id, pieceId, kind, at, data }) =>
      ({ id, pieceId, kind, at, data: fromJson(data) }) as CareEvent & { pieceId: string },
  );
}

/**
 * Appends a line to the log after a pour. One whose id is there already changes nothing.
 *
 * @throws HttpProblem 404 without the piece, 422 when it cannot have happened
 */
export async function appendCare(
  trx: Writer,
  pieceId: string,
  event: CareEvent,
): Promise<{ care: CareEvent[] }> {
  await requirePiece(trx, pieceId);
  const log = await careOf(trx, [pieceId]);
  if (!log.some((each) => each.id === event.id)) {
    const known = await trx
      .selectFrom('careEvent')
      .select('id')
      .where('id', '=', event.id)
      .executeTakeFirst();
    if (known) throw taken('piece');
    await requirePossible(trx, pieceId, event, log);
    await insertCare(trx, pieceId, [event]);
  }
  return { care: readable(careEventSchema, await careOf(trx, [pieceId])) };
}

export const insertCare = (trx: Writer, pieceId: string, events: readonly CareEvent[]): Promise<void> =>
  insertRows(
    trx,
    'careEvent',
    events.map(({ id, kind, at, data }) => ({ id, pieceId, kind, at, data: toJson(data) })),
  );

/** What can only happen to paint that lies there. */
const AFTER_POUR: readonly CareEvent['kind'][] = ['check', 'coat', 'work', 'closing'];

async function requirePossible(
  trx: Writer,
  pieceId: string,
  event: CareEvent,
  log: readonly CareEvent[],
): Promise<void> {
  if (event.kind === 'void') {
    const target = careInForce(log).find((each) => each.id === event.data.eventId);
    if (!target) throw unfit('data.eventId', 'This line is not in the log, or was taken back.');
  }
  if (event.kind === 'place' && event.data.shelfId !== null) {
    const shelf = await EQUIPMENT.find(trx, event.data.shelfId);
    if (shelf?.kind !== 'shelf' || shelf.deletedAt !== null) {
      throw unfit('data.shelfId', 'This shelf is gone: choose another.');
    }
    if (!shelf.slots.some(({ id }) => id === event.data.slotId)) {
      throw unfit('data.slotId', 'This slot is gone: choose another.');
    }
  }
  if (AFTER_POUR.includes(event.kind)) await requirePoured(trx, pieceId, event.at);
}

async function requirePoured(trx: Writer, pieceId: string, at: string): Promise<void> {
  const layer = (await eventsOf(trx, [pieceId])).find(({ kind }) => kind === 'layer');
  if (layer && Date.parse(at) < Date.parse(layer.at)) {
    throw unfit('at', `It was poured on ${layer.at.slice(0, 10)}: give a time after that.`);
  }
}
