import { randomUUID } from 'node:crypto';
import { basename } from 'node:path';
import { api, type Photo } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { requirePiece } from '../db/ofPiece.ts';
import type { Db } from '../db/open.ts';
import { onBehalf } from '../device/owed.ts';
import { found, timestamp, type Reader } from '../db/record.ts';
import { write } from '../db/write.ts';
import { HttpProblem, taken, unfit } from '../http/problem.ts';
import { receiver } from '../http/receive.ts';
import { check, route } from '../http/route.ts';
import { MAX_UPLOAD_BYTES } from './clean.ts';
import type { PhotoFiles } from './files.ts';
import { findDetail, findPhoto, insertPhoto, setMeasurement, setPhotoDeleted } from './photo.queries.ts';

const PHOTO_AGE_S = 365 * 86_400;

export function photoRoutes(router: Router, db: Db, files: PhotoFiles, dataFolder: string): void {
  uploadRoute(router, db, files, dataFolder);
  fileRoute(router, db, api.photos.image, (hash) => files.imagePath(hash));
  fileRoute(router, db, api.photos.thumbnail, (hash) => files.thumbnailPath(hash));
  originalRoute(router, db, files);
  route(router, api.photos.measure, ({ params, body }) =>
    write(db, (trx) => setMeasurement(trx, params.id, body)),
  );
  route(router, api.photos.detail, async ({ params }) =>
    found(await findDetail(db, params.id), 'measurement of this photo'),
  );
  route(router, api.photos.remove, ({ params, query }) =>
    write(db, (trx) => setPhotoDeleted(trx, params.id, query.version, true)),
  );
  route(router, api.photos.restore, ({ params, body }) =>
    write(db, (trx) => setPhotoDeleted(trx, params.id, body.version, false)),
  );
}

function uploadRoute(router: Router, db: Db, files: PhotoFiles, dataFolder: string): void {
  const { path, params, body, file, response: answer, status } = api.photos.upload;
  const receive = receiver(dataFolder, file!, MAX_UPLOAD_BYTES);
  router.post(path, receive.middleware);
  router.post(path, async (request, response) => {
    try {
      const { pieceId } = check(params, request.params);
      const fields = check(body, request.body ?? {});
      if (!request.file) throw unfit('photo', 'Choose a photo.');
      const given = { id: fields.id ?? randomUUID(), pieceId, state: fields.state, photo: request.file.path };
      const photo = await onBehalf(response, () => storePhoto(db, files, given));
      response.status(status).json(answer.parse(photo));
    } finally {
      await receive.clear(request);
    }
  });
}

/** Cleans a photo, files it, and enters it at its piece; one that is there under its id is left as it is. */
export async function storePhoto(
  db: Db,
  files: PhotoFiles,
  given: {
    id: string;
    pieceId: string;
    state: Photo['state'];
    photo: Uint8Array | string;
    standIn?: boolean;
    /** The file is kept as it came as well. */
    keepOriginal?: boolean;
  },
): Promise<Photo> {
  const { id, pieceId, state, standIn = false } = given;
  await requirePiece(db, pieceId);
  const known = await existing(db, id, pieceId);
  if (known) return known;
  const filed = await files.store(given.photo);
  const { photo: path, keepOriginal = false } = given;
  const original = keepOriginal && typeof path === 'string' ? await files.keepOriginal(path, id) : null;
  return write(db, async (trx) => {
    // The same photo may have been sent twice at once.
    const meanwhile = await existing(trx, id, pieceId);
    if (meanwhile) return meanwhile;
    await requirePiece(trx, pieceId);
    const record = { version: 1, measurement: null, createdAt: timestamp(), deletedAt: null };
    const photo: Photo = { id, pieceId, state, standIn, original, ...filed, ...record };
    await insertPhoto(trx, photo, null);
    return photo;
  });
}

async function existing(db: Reader, id: string, pieceId: string): Promise<Photo | undefined> {
  const photo = await findPhoto(db, id);
  if (photo && photo.pieceId !== pieceId) throw taken('photo');
  return photo;
}

/** A photo never changes under its hash; an answer that there is none is not kept. */
function fileRoute(
  router: Router,
  db: Db,
  endpoint: typeof api.photos.image,
  fileOf: (hash: string) => string,
): void {
  router.get(endpoint.path, async (request, response, next) => {
    const { id } = check(endpoint.params, request.params);
    const { hash } = found(await findPhoto(db, id), 'photo');
    const headers = { 'Cache-Control': `private, max-age=${PHOTO_AGE_S}, immutable` };
    response
      .type(endpoint.gives)
      .sendFile(fileOf(hash), { dotfiles: 'allow', cacheControl: false, headers }, (error) => {
        if (!error) return;
        if (response.headersSent) response.destroy();
        else next(isMissing(error) ? missingFile() : error);
      });
  });
}

/** The camera's own file, to be saved: no page shows it. */
function originalRoute(router: Router, db: Db, files: PhotoFiles): void {
  const { path, params } = api.photos.original;
  router.get(path, async (request, response, next) => {
    const { id } = check(params, request.params);
    const { original } = found(await findPhoto(db, id), 'photo');
    const file = files.originalPath(id, found(original ?? undefined, 'original of this photo'));
    response.download(file, basename(file), { dotfiles: 'allow' }, (error) => {
      if (!error) return;
      if (response.headersSent) response.destroy();
      else next(isMissing(error) ? missingFile() : error);
    });
  });
}

const isMissing = (error: Error): boolean => (error as { status?: number }).status === 404;
const missingFile = () =>
  new HttpProblem('not-found', 'The file of this photo is not in the data folder: a backup may have it.');
