import { randomUUID } from 'node:crypto';
import { createReadStream, type ReadStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { api } from '@icy-ribbon/contract';
import { Semaphore } from 'async-mutex';
import type { Router } from 'express';
import yazl from 'yazl';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { JSON_NAME, MANIFEST_NAME } from '../import/unzip.ts';
import type { PhotoFiles } from '../photo/files.ts';
import type { Tasks } from '../task/threads.ts';

const AT_ONCE = 2;

/** What the zip says of itself, as its last part. */
interface Manifest {
  readonly photos: number;
  readonly missing: { readonly hash: string; readonly reason: string }[];
  /** Records that could not be read and were left out. */
  readonly damaged: readonly string[];
}

/** The whole studio, photos included, one file after the other. */
export function archiveRoutes(router: Router, files: PhotoFiles, tasks: Tasks, dataFolder: string): void {
  const turns = new Semaphore(AT_ONCE);
  router.get(api.studio.archive.path, async (request, response) => {
    const [, release] = await turns.acquire();
    const { incoming } = folderOf(dataFolder);
    const path = join(incoming, `${randomUUID()}.part`);
    try {
      if (request.destroyed) return;
      await mkdir(incoming, { recursive: true });
      const { hashes, damaged } = await tasks.run('collectStudio', path);
      response.setHeader('Content-Disposition', 'attachment; filename="icy-ribbon-studio.zip"');
      response.type(api.studio.archive.gives);
      const zip = zipOf(path, files, hashes, { photos: hashes.length, missing: [], damaged });
      try {
        await pipeline(zip.output, response);
      } catch {
        // Whoever downloaded has gone: there is nobody to tell.
        response.destroy();
      } finally {
        zip.close();
      }
    } finally {
      release();
      await removeIn(incoming, path);
    }
  });
}

/**
 * The zip as a stream. Each photo is opened when its turn comes and closed before the next one; one that cannot be read
 * ends there, and the manifest at the end says so, so that the zip can be read all the same.
 */
function zipOf(jsonPath: string, files: PhotoFiles, hashes: readonly string[], manifest: Manifest) {
  const zip = new yazl.ZipFile();
  let current: ReadStream | undefined;
  let isClosed = false;
  zip.addFile(jsonPath, JSON_NAME);
  for (const hash of hashes) {
    zip.addReadStreamLazy(`photos/${hash}.jpg`, { compress: false }, (done) => {
      const content = new PassThrough();
      if (isClosed) return done(null, content.end());
      current = createReadStream(files.imagePath(hash));
      current.once('error', (error: NodeJS.ErrnoException) => {
        const reason = error.code === 'ENOENT' ? 'Its file is missing.' : 'Its file cannot be read.';
        manifest.missing.push({ hash, reason });
        content.end();
      });
      current.pipe(content);
      done(null, content);
    });
  }
  zip.addReadStreamLazy(MANIFEST_NAME, {}, (done) => done(null, Readable.from([JSON.stringify(manifest)])));
  zip.end();
  return {
    output: zip.outputStream as Readable,
    close() {
      isClosed = true;
      current?.destroy();
    },
  };
}
