import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { archiveResultSchema, archiveSchema, type Archive, type ArchiveResult } from '@icy-ribbon/contract';
import type { Router } from 'express';
import multer from 'multer';
import yazl from 'yazl';
import type { Db } from '../db/open.ts';
import { HttpProblem, invalid, unfit } from '../http/problem.ts';
import { hashOf, type PhotoFiles } from '../photo/files.ts';
import { describeImage } from '../photo/clean.ts';
import { collectStudio } from './collect.ts';
import { insertStudio } from './insert.ts';
import { JSON_NAME, unzip } from './unzip.ts';

const MOST_BYTES = 4 * 1024 ** 3;

/** GET /api/archive.zip and POST /api/archive: the whole studio out and in, photos included. */
export function archiveRoutes(router: Router, db: Db, files: PhotoFiles): void {
  router.get('/api/archive.zip', async (_request, response) => {
    const archive = await collectStudio(db);
    const zip = new yazl.ZipFile();
    zip.addBuffer(Buffer.from(JSON.stringify(archive)), JSON_NAME);
    for (const hash of photoHashes(archive)) {
      zip.addReadStream(createReadStream(files.imagePath(hash)), `photos/${hash}.jpg`, { compress: false });
    }
    zip.end();
    response.setHeader('Content-Disposition', 'attachment; filename="icy-ribbon-studio.zip"');
    response.type('application/zip');
    zip.outputStream.pipe(response);
  });

  const receive = multer({
    storage: multer.diskStorage({
      destination: tmpdir(),
      filename: (_request, _file, done) => done(null, `icy-ribbon-${randomUUID()}.zip`),
    }),
    limits: { fileSize: MOST_BYTES, files: 1 },
  }).single('archive');
  router.post('/api/archive', (request, response, next) => {
    receive(request, response, (error: unknown) =>
      next(error ? unfit('archive', 'The upload broke off: send the zip again.') : undefined),
    );
  });
  router.post('/api/archive', async (request, response) => {
    if (!request.file) throw unfit('archive', 'Choose a zip that was written here.');
    try {
      response.status(201).json(archiveResultSchema.parse(await bringIn(db, files, request.file.path)));
    } finally {
      await rm(request.file.path, { force: true });
    }
  });
}

const photoHashes = ({ pieces }: Archive): Set<string> =>
  new Set(pieces.flatMap((piece) => piece.photos.map((photo) => photo.hash)));

/**
 * Reads a studio from a zip: all or nothing, but for photo files, which do no harm when nothing refers to them.
 *
 * @throws HttpProblem 422 naming what does not fit
 */
export async function bringIn(db: Db, files: PhotoFiles, path: string): Promise<ArchiveResult> {
  const zip = await unzip(path);
  try {
    const checked = archiveSchema.safeParse(zip.json);
    if (!checked.success) throw invalid(checked.error);
    const missing = [...photoHashes(checked.data)].find((hash) => !zip.hashes.has(hash));
    if (missing) throw unfit('archive', 'A photo is missing from the zip: export it again.');
    await zip.eachPhoto(async (hash, image) => {
      if (hashOf(image) !== hash || !(await describeImage(image))) {
        throw unfit('archive', 'A photo in the zip is damaged: export it again.');
      }
      await files.write(image);
    });
    return await db.transaction().execute((trx) => insertStudio(trx, checked.data));
  } catch (error) {
    if (
      error instanceof Error &&
      !(error instanceof HttpProblem) &&
      /FOREIGN KEY|UNIQUE/.test(error.message)
    ) {
      throw unfit('archive', 'The zip refers to something that is not in it: export it again.');
    }
    throw error;
  } finally {
    zip.close();
  }
}
