import { wrap, type Remote } from 'comlink';
import type { CsvWorker } from './csv.worker.ts';

let worker: Worker | undefined;
let remote: Remote<CsvWorker> | undefined;

/** The worker that reads tables, started when it is first needed. */
export function csvWorker(): Remote<CsvWorker> {
  worker ??= new Worker(new URL('./csv.worker.ts', import.meta.url), { type: 'module' });
  remote ??= wrap<CsvWorker>(worker);
  return remote;
}

/** Stops it at once, and what it holds is gone. */
export function stopCsvWorker(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
}
