import { randomUUID } from 'node:crypto';
import { api, idSchema, photoSchema, photoUploadFields, type Photo } from '@icy-ribbon/contract';
import type { Router } from 'express';
import multer, { MulterError } from 'multer';
import type { Db } from '../db/open.ts';
import { found, timestamp } from '../db/record.ts';
import { invalid, unfit } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { cleanPhoto, MAX_UPLOAD_BYTES } from './clean.ts';
import type { PhotoFiles } from './files.ts';
import { findDetail, findPhoto, insertPhoto, setMeasurement, setPhotoDeleted } from './photo.queries.ts';

const PHOTO_AGE_MS = 365 * 86_400_000;

export function photoRoutes(router: Router, db: Db, files: PhotoFiles): void {
  uploadRoute(router, db, files);
  fileRoute(router, db, '/api/photos/:id/image', (hash) => files.imagePath(hash));
  fileRoute(router, db, '/api/photos/:id/thumbnail', (hash) => files.thumbnailPath(hash));
  route(router, api.photos.measure, ({ params, body }) =>
    db.transaction().execute((trx) => setMeasurement(trx, params.id, body)),
  );
  route(router, api.photos.detail, async ({ params }) =>
    found(await findDetail(db, params.id), 'measurement of this photo'),
  );
  route(router, api.photos.remove, ({ params, query }) =>
    db.transaction().execute((trx) => setPhotoDeleted(trx, params.id, query.version, true)),
  );
  route(router, api.photos.restore, ({ params, body }) =>
    db.transaction().execute((trx) => setPhotoDeleted(trx, params.id, body.version, false)),
  );
}

/** POST /api/pieces/:pieceId/photos, multipart: the file "photo" and the fields of `photoUploadFields`. */
function uploadRoute(router: Router, db: Db, files: PhotoFiles): void {
  const receive = multer({
    storage: multer.memoryStorage(),
    limits: { fileSize: MAX_UPLOAD_BYTES, files: 1, fields: 10 },
  }).single('photo');

  router.post('/api/pieces/:pieceId/photos', (request, response, next) => {
    receive(request, response, (error: unknown) => {
      if (error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE') {
        next(unfit('photo', 'The file is larger than 40 MB: save the photo smaller.'));
        return;
      }
      if (error) {
        next(unfit('photo', 'The upload broke off: send the photo again.'));
        return;
      }
      next();
    });
  });
  router.post('/api/pieces/:pieceId/photos', async (request, response) => {
    const fields = photoUploadFields.safeParse(request.body);
    if (!fields.success) throw invalid(fields.error);
    if (!request.file) throw unfit('photo', 'Choose a photo.');
    const id = fields.data.id ?? randomUUID();
    const photo = await takeIn(db, files, {
      id,
      pieceId: String(request.params.pieceId),
      state: fields.data.state,
      upload: request.file.buffer,
    });
    response.status(201).json(photoSchema.parse(photo));
  });
}

/** Cleans a photo, files it, and enters it at its piece; one that is there under its id is left as it is. */
export async function takeIn(
  db: Db,
  files: PhotoFiles,
  given: { id: string; pieceId: string; state: Photo['state']; upload: Buffer },
): Promise<Photo> {
  const existing = await findPhoto(db, given.id);
  if (existing) return existing;
  const piece = idSchema.safeParse(given.pieceId).success
    ? await db
        .selectFrom('piece')
        .select('id')
        .where('id', '=', given.pieceId)
        .where('deletedAt', 'is', null)
        .executeTakeFirst()
    : undefined;
  found(piece, 'piece');
  const { image, widthPx, heightPx } = await cleanPhoto(given.upload);
  const photo: Photo = {
    id: given.id,
    pieceId: given.pieceId,
    version: 1,
    state: given.state,
    hash: await files.write(image),
    widthPx,
    heightPx,
    measurement: null,
    createdAt: timestamp(),
    deletedAt: null,
  };
  await db.transaction().execute((trx) => insertPhoto(trx, photo, null));
  return photo;
}

function fileRoute(router: Router, db: Db, path: string, fileOf: (hash: string) => string): void {
  router.get(path, async (request, response) => {
    const photo = found(await findPhoto(db, String(request.params.id)), 'photo');
    response.setHeader('Cache-Control', `private, max-age=${PHOTO_AGE_MS / 1000}, immutable`);
    response.type('jpeg').sendFile(fileOf(photo.hash), { dotfiles: 'allow' });
  });
}
