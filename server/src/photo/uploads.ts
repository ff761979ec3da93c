import { photoSendSchema, UPLOADS_PATH } from '@icy-ribbon/contract';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import type { Router } from 'express';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { requirePiece } from '../db/ofPiece.ts';
import type { Db } from '../db/open.ts';
import { onBehalf } from '../device/owed.ts';
import { folderOf } from '../folder/folder.ts';
import { isUploadId, isUploadName } from '../folder/names.ts';
import { removeIn } from '../folder/remove.ts';
import { asProblem, bodyOf, HttpProblem, invalid, notFound } from '../http/problem.ts';
import { MAX_UPLOAD_BYTES } from './clean.ts';
import type { PhotoFiles } from './files.ts';
import { storePhoto } from './photo.routes.ts';

/**
 * Photos that arrive in pieces: what was broken off, by a dead spot or a server that was started again, goes on where it
 * stopped (the open protocol tus 1.0). The last piece is answered with the photo as it was kept.
 */
export function uploadRoutes(router: Router, db: Db, files: PhotoFiles, dataFolder: string): void {
  let server: Server | undefined;
  router.use(UPLOADS_PATH, (request, response) => {
    const [, id = '', ...rest] = request.path.split('/');
    if ((id !== '' && !isUploadId(id)) || rest.length > 0) throw notFound('upload');
    // Begun when the first photo comes: it makes its folder.
    const uploads = (server ??= uploadServer(db, files, folderOf(dataFolder).uploads));
    request.url = request.originalUrl;
    void onBehalf(response, () => uploads.handle(request, response));
  });
}

function uploadServer(db: Db, files: PhotoFiles, directory: string): Server {
  mkdirSync(directory, { recursive: true });
  const store = new UploadStore({ directory });
  return new Server({
    path: UPLOADS_PATH,
    datastore: store,
    maxSize: MAX_UPLOAD_BYTES,
    relativeLocation: true,
    // Without it every page elsewhere would be let read the answers.
    allowedOrigins: () => false,
    async onUploadCreate(_request, { metadata }) {
      // Said before anything is sent, not after.
      await answering(async () => requirePiece(db, fieldsOf(metadata).pieceId));
      return {};
    },
    async onUploadFinish(_request, { id, metadata, storage }) {
      try {
        const photo = await answering(async () => {
          const { keepOriginal, ...fields } = fieldsOf(metadata);
          const given = { ...fields, photo: storage?.path ?? '', keepOriginal: keepOriginal === 'yes' };
          return storePhoto(db, files, given);
        });
        return { status_code: 200, headers: JSON_HEADERS, body: JSON.stringify(photo) };
      } finally {
        await store.remove(id);
      }
    },
    onResponseError: (_request, error) => ('status_code' in error ? error : answerOf(error)),
  });
}

/** Uploads on the disk; what is abandoned is swept with the rest (`sweepAbandoned`), by when it was last written to. */
class UploadStore extends FileStore {
  override async remove(id: string): Promise<void> {
    for (const name of [id, `${id}.json`].filter(isUploadName)) {
      await removeIn(this.directory, join(this.directory, name));
    }
  }
}

const JSON_HEADERS = { 'Content-Type': 'application/json' };

function fieldsOf(metadata: Record<string, string | null> | undefined) {
  const checked = photoSendSchema.safeParse(metadata ?? {});
  if (!checked.success) throw invalid(checked.error);
  return checked.data;
}

/** What goes wrong is answered as everywhere else. */
async function answering<Result>(work: () => Promise<Result>): Promise<Result> {
  try {
    return await work();
  } catch (error) {
    // The protocol's server takes any thrown thing of this form for an answer.
    throw answerOf(error);
  }
}

function answerOf(error: unknown): { status_code: number; body: string } {
  const broke = new HttpProblem('broke', 'The server ran into a fault. Nothing was changed.');
  const problem = asProblem(error) ?? broke;
  return { status_code: problem.status, body: JSON.stringify(bodyOf(problem)) };
}
