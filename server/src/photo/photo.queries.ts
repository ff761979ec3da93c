import type { Measurement, Photo, PhotoDetail } from '@icy-ribbon/contract';
import { sql, type Selectable } from 'kysely';
import { fromJson, toJson, type JsonText } from '../db/json.ts';
import { found, timestamp, type Reader, type Writer } from '../db/record.ts';
import type { PhotoTable } from '../db/schema.ts';
import { notFound, stale } from '../http/problem.ts';

const COLUMNS = [
  'id',
  'pieceId',
  'version',
  'state',
  'hash',
  'widthPx',
  'heightPx',
  'measurement',
  'original',
  'standIn',
  'createdAt',
  'deletedAt',
] as const;

const toPhoto = ({ measurement, standIn, ...row }: Omit<Selectable<PhotoTable>, 'detail'>): Photo => ({
  ...row,
  standIn: standIn === 1,
  measurement: measurement && fromJson(measurement),
});

export async function photosOf(db: Reader, pieceIds: readonly string[]): Promise<Photo[]> {
  const rows = await db
    .selectFrom('photo')
    .select(COLUMNS)
    .where('pieceId', 'in', pieceIds)
    .where('deletedAt', 'is', null)
    .orderBy(sql`photo.rowid`)
    .execute();
  return rows.map(toPhoto);
}

export async function findPhoto(db: Reader, id: string): Promise<Photo | undefined> {
  const row = await db.selectFrom('photo').select(COLUMNS).where('id', '=', id).executeTakeFirst();
  return row && toPhoto(row);
}

/** What the overlay of a photo draws; undefined when it was not measured. */
export async function findDetail(db: Reader, id: string): Promise<PhotoDetail | undefined> {
  const row = await db.selectFrom('photo').select('detail').where('id', '=', id).executeTakeFirst();
  return row?.detail ? fromJson(row.detail) : undefined;
}

export async function insertPhoto(
  trx: Writer,
  { measurement, standIn, ...photo }: Photo,
  detail: PhotoDetail | null,
): Promise<void> {
  await trx
    .insertInto('photo')
    .values({
      ...photo,
      standIn: standIn ? 1 : 0,
      measurement: asJson(measurement),
      detail: asJson(detail),
    })
    .execute();
}

/** @throws HttpProblem 404 or 409 */
export async function setMeasurement(
  trx: Writer,
  id: string,
  given: { version: number; measurement: Measurement; detail: PhotoDetail },
): Promise<Photo> {
  const { measurement, detail } = given;
  return change(trx, id, given.version, { measurement: asJson(measurement), detail: asJson(detail) });
}

export async function setPhotoDeleted(
  trx: Writer,
  id: string,
  version: number,
  deleted: boolean,
): Promise<Photo> {
  return change(trx, id, version, { deletedAt: deleted ? timestamp() : null });
}

async function change(
  trx: Writer,
  id: string,
  version: number,
  changes: Partial<Pick<Selectable<PhotoTable>, 'measurement' | 'detail' | 'deletedAt'>>,
): Promise<Photo> {
  const result = await trx
    .updateTable('photo')
    .set({ ...changes, version: version + 1 })
    .where('id', '=', id)
    .where('version', '=', version)
    .executeTakeFirst();
  const photo = await findPhoto(trx, id);
  if (!photo) throw notFound('photo');
  if (result.numUpdatedRows === 0n) throw stale(photo);
  return found(photo, 'photo');
}

const asJson = <Value>(value: Value | null): JsonText<Value> | null =>
  value === null ? null : toJson(value);
