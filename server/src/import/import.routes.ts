import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { api, type Endpoint, type ImportKind } from '@icy-ribbon/contract';
import type { Request, Response, Router } from 'express';
import { storageFault } from '../db/fault.ts';
import { callerOf } from '../device/caller.ts';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { HttpProblem, unfit } from '../http/problem.ts';
import { receiver } from '../http/receive.ts';
import { route } from '../http/route.ts';
import type { ImportJobs } from './jobs.ts';

const MB = 1024 * 1024;
const MOST_ZIP_BYTES = 4 * 1024 * MB;
const MOST_DOCUMENT_BYTES = 200 * MB;
const MOST_MATERIALS_BYTES = 20 * MB;

/** Files come in onto the disk and are looked at by a thread of their own; these routes come before bodies are parsed. */
export function importRoutes(router: Router, jobs: ImportJobs, dataFolder: string): void {
  archiveRoute(router, jobs, dataFolder);
  const documents: readonly [Endpoint, ImportKind, number][] = [
    [api.pieces.importDocument, 'piece', MOST_DOCUMENT_BYTES],
    [api.materials.importAll, 'materials', MOST_MATERIALS_BYTES],
  ];
  for (const [endpoint, kind, mostBytes] of documents) {
    router.post(endpoint.path, async (request, response) => {
      begin(response, jobs, kind, await receiveBody(request, dataFolder, mostBytes));
    });
  }
  route(router, api.imports.get, ({ params }) => jobs.get(params.id));
  route(router, api.imports.cancel, ({ params }) => jobs.cancel(params.id));
}

function archiveRoute(router: Router, jobs: ImportJobs, dataFolder: string): void {
  const { middleware } = receiver(dataFolder, api.imports.archive.file!, MOST_ZIP_BYTES);
  router.post(api.imports.archive.path, middleware, (request, response) => {
    if (!request.file) throw unfit('archive', 'Choose a zip that was written here.');
    begin(response, jobs, 'studio', request.file.path);
  });
}

function begin(response: Response, jobs: ImportJobs, kind: ImportKind, path: string): void {
  response.status(202).json(jobs.begin(kind, path, callerOf(response).isIn));
}

/** A JSON body as a file, not looked at. */
async function receiveBody(request: Request, dataFolder: string, mostBytes: number): Promise<string> {
  if (!request.is('application/json')) {
    throw new HttpProblem('not-json', 'Send one JSON document.');
  }
  const tooLarge = new HttpProblem('too-large', `What was sent is larger than ${mostBytes / MB} MB.`);
  if (Number(request.headers['content-length'] ?? 0) > mostBytes) throw tooLarge;
  const { incoming } = folderOf(dataFolder);
  await mkdir(incoming, { recursive: true });
  const path = join(incoming, `${randomUUID()}.part`);
  let bytes = 0;
  const watch = new Transform({
    transform(part: Buffer, _encoding, done) {
      bytes += part.length;
      done(bytes > mostBytes ? tooLarge : null, part);
    },
  });
  try {
    await pipeline(request, watch, createWriteStream(path));
    return path;
  } catch (error) {
    await removeIn(incoming, path);
    if (error instanceof HttpProblem || storageFault(error)) throw error;
    throw new HttpProblem('broken-off', 'The upload broke off: send it again.');
  }
}
