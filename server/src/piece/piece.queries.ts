import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { randomUUID } from 'node:crypto';
import {
  aimsSchema,
  originSchema,
  supportSnapshotSchema,
  type Piece,
  type PieceCreate,
  type PieceUpdate,
  type Support,
  type SupportSnapshot,
} from '@icy-ribbon/contract';
import { NO_AIMS } from '@icy-ribbon/core/paint/stage';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import {
  withoutUndefined,
  newRecord,
  timestamp,
  updateVersioned,
  type Reader,
  type Writer,
} from '../db/record.ts';
import type { PieceTable } from '../db/schema.ts';
import { unfit } from '../http/problem.ts';
import { judgementsOf } from '../judgement/judgement.queries.ts';
import { mixesOf } from '../mix/mix.queries.ts';
import { photosOf } from '../photo/photo.queries.ts';
import { plansOf } from '../plan/plan.queries.ts';
import { eventsOf } from '../pour/pour.queries.ts';
import { readingsOf } from '../reading/reading.queries.ts';
import { careOf } from '../care/care.queries.ts';
import { SUPPORTS } from '../support/supports.ts';

type PieceRow = Selectable<PieceTable>;

/** Pieces with everything that belongs to them, read in eight queries however many there are. */
async function assemble(db: Reader, rows: readonly PieceRow[]): Promise<Piece[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  const mixes = await mixesOf(db, ids);
  const events = await eventsOf(db, ids);
  const care = await careOf(db, ids);
  const readings = await readingsOf(db, ids);
  const plans = await plansOf(db, ids);
  const photos = await photosOf(db, ids);
  const judgements = await judgementsOf(db, ids);
  const snapshots = rows.map((row) => supportSnapshotSchema.safeParse(fromJson(row.supportSnapshot)));
  const shelved = snapshots.every((each) => each.success)
    ? new Map<string, Support>()
    : await SUPPORTS.byId(
        db,
        rows.map((row) => row.supportId),
      );
  return rows.map(({ supportId, supportSnapshot, aims, origin, ...row }, index) => {
    void supportSnapshot;
    return {
      ...row,
      aims: aimsSchema.safeParse(fromJson(aims)).data ?? NO_AIMS,
      origin: origin === null ? null : (originSchema.safeParse(fromJson(origin)).data ?? null),
      support: snapshots[index]?.data ?? snapshotOf(shelved.get(supportId)!),
      mixes: mixes.filter((mix) => mix.pieceId === row.id),
      readings: readings.filter((reading) => reading.pieceId === row.id),
      plan: plans.get(row.id) ?? null,
      events: events.filter((event) => event.pieceId === row.id),
      care: care.filter((event) => event.pieceId === row.id),
      photos: photos.filter(({ pieceId, state }) => pieceId === row.id && state !== 'rehearsal'),
      rehearsals: photos.filter(({ pieceId, state }) => pieceId === row.id && state === 'rehearsal'),
      judgement: judgements.get(row.id) ?? null,
    };
  });
}

const snapshotOf = ({ id, name, kind, shape, widthMm, heightMm, sideDepthMm }: Support): SupportSnapshot => ({
  supportId: id,
  name,
  shape,
  widthMm,
  heightMm,
  sideDepthMm,
  kind,
});

/** One piece, deleted or not. */
export async function findPiece(db: Reader, id: string): Promise<Piece | undefined> {
  const row = await db.selectFrom('piece').selectAll().where('id', '=', id).executeTakeFirst();
  return row && (await assemble(db, [row]))[0];
}

/** Whole pieces by their ids. */
export async function readPieces(db: Reader, ids: readonly string[]): Promise<Piece[]> {
  const rows = await db.selectFrom('piece').selectAll().where('id', 'in', ids).execute();
  return assemble(db, rows);
}

/** Starts a piece; it keeps the support as it is now. */
export async function createPiece(trx: Writer, input: PieceCreate): Promise<Piece> {
  const id = input.id ?? randomUUID();
  const existing = await findPiece(trx, id);
  if (existing) return existing;
  const support = await SUPPORTS.find(trx, input.supportId);
  if (!support || support.deletedAt !== null) {
    throw unfit('supportId', 'Choose a support from the shelf.');
  }
  if (input.origin && !(await findPiece(trx, input.origin.pieceId))) {
    throw unfit('origin.pieceId', 'The piece it comes out of is gone.');
  }
  const piece: Piece = {
    ...newRecord(id, timestamp()),
    name: input.name,
    technique: input.technique,
    aims: input.aims,
    colors: input.colors,
    topCoatedAt: null,
    touchDryAt: null,
    origin: input.origin,
    note: input.note,
    support: snapshotOf(support),
    mixes: [],
    readings: [],
    plan: null,
    events: [],
    care: [],
    photos: [],
    rehearsals: [],
    judgement: null,
  };
  await insertPieceRow(trx, piece);
  return piece;
}

/** Writes a piece's own row; what belongs to it is written beside it by its own queries. */
export async function insertPieceRow(trx: Writer, piece: Piece): Promise<void> {
  await trx
    .insertInto('piece')
    .values({
      id: piece.id,
      version: piece.version,
      createdAt: piece.createdAt,
      updatedAt: piece.updatedAt,
      deletedAt: piece.deletedAt,
      name: piece.name,
      technique: piece.technique,
      aims: toJson(piece.aims),
      colors: piece.colors,
      topCoatedAt: piece.topCoatedAt,
      touchDryAt: piece.touchDryAt,
      origin: piece.origin && toJson(piece.origin),
      note: piece.note,
      supportId: piece.support.supportId,
      supportSnapshot: toJson(piece.support),
    })
    .execute();
}

/** A piece can only be found dry after it was poured. */
async function requirePouredBefore(trx: Writer, id: string, at: string): Promise<void> {
  const piece = await findPiece(trx, id);
  const pouredAt = piece && pourRecordOf(piece).pouredAt;
  if (piece && (!pouredAt || Date.parse(at) < Date.parse(pouredAt))) {
    throw unfit('touchDryAt', 'It is dry after it was poured, not before: give a later time.');
  }
}

export async function updatePiece(
  trx: Writer,
  id: string,
  { version, aims, ...changes }: PieceUpdate,
): Promise<void> {
  if (changes.touchDryAt) await requirePouredBefore(trx, id, changes.touchDryAt);
  await updateVersioned(
    trx,
    'piece',
    { id, version },
    withoutUndefined({ ...changes, aims: aims && toJson(aims) }),
    () => findPiece(trx, id),
  );
}
