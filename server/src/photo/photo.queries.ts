import type { Photo } from '@icy-ribbon/contract';
import { timestamp, type Reader, type Writer } from '../db/record.ts';
import { notFound, stale } from '../http/problem.ts';

export async function photosOf(db: Reader, pieceIds: readonly string[]): Promise<Photo[]> {
  const rows = await db
    .selectFrom('photo')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .execute();
  return rows as Photo[];
}

export async function findPhoto(db: Reader, id: string): Promise<Photo | undefined> {
  const row = await db.selectFrom('photo').selectAll().where('id', '=', id).executeTakeFirst();
  return row as Photo | undefined;
}

export async function insertPhoto(trx: Writer, photo: Photo): Promise<void> {
  await trx.insertInto('photo').values(photo).execute();
}

export async function setPhotoDeleted(
  trx: Writer,
  id: string,
  version: number,
  deleted: boolean,
): Promise<Photo> {
  const result = await trx
    .updateTable('photo')
    .set({ deletedAt: deleted ? timestamp() : null, version: version + 1 })
    .where('id', '=', id)
    .where('version', '=', version)
    .executeTakeFirst();
  const photo = await findPhoto(trx, id);
  if (!photo) throw notFound('photo');
  if (result.numUpdatedRows === 0n) throw stale(photo);
  return photo;
}
