import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { workerData } from 'node:worker_threads';
import { openReader, openWriter, type Db } from '../db/open.ts';
import { photoFiles } from '../photo/files.ts';
import { filmFrom } from '../standin/camera/filmFrom.ts';
import { Cancelled, type Bench } from './bench.ts';
import type { TaskKind } from './kinds.ts';
import { asError, asPlain } from './plainError.ts';
import { TASKS, type Task } from './tasks.ts';
import { BEFORE_WRITING, type Answer, type Order, type Prepared } from './threads.ts';

const { dataFolder, kind } = workerData as { dataFolder: string; kind: TaskKind };
/** Pages are asked for again and again; what takes long reads everything once. */
const CACHE_MB: Readonly<Record<TaskKind, number>> = { read: 32, long: 4 };
const files = photoFiles(dataFolder);
const makeFilm = filmFrom(fileURLToPath(import.meta.resolve('@icy-ribbon/core/film.wasm')));
let reader: Db | undefined;

async function withWriter<Result>(work: (db: Db) => Promise<Result>): Promise<Result> {
  const db = openWriter(dataFolder);
  try {
    return await work(db);
  } finally {
    await db.destroy();
  }
}

/** One task on this thread. */
export default async function runOrder({ name, input, port, calledOff }: Order): Promise<Answer> {
  reader ??= openReader(dataFolder, CACHE_MB[kind]);
  const bench: Bench = {
    db: reader,
    files,
    dataFolder,
    makeFilm,
    withWriter,
    async beforeWriting() {
      if (!port) return;
      port.postMessage(BEFORE_WRITING);
      const [{ error }] = (await once(port, 'message')) as [Prepared];
      if (error) throw asError(error);
    },
    report: (progress) => port?.postMessage(progress),
    goOn: () => {
      if (Atomics.load(calledOff, 0) !== 0) throw new Cancelled();
    },
  };
  try {
    return { output: await (TASKS[name] as Task<unknown, unknown>)(bench, input) };
  } catch (error) {
    return { error: asPlain(error) };
  } finally {
    port?.close();
  }
}
