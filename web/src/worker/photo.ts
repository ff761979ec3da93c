import { wrap, type Remote } from 'comlink';
import type { PhotoWorker } from './photo.worker.ts';

let worker: Worker | undefined;
let remote: Remote<PhotoWorker> | undefined;

/** The photo worker, started when it is first needed. */
export function photoWorker(): Remote<PhotoWorker> {
  worker ??= new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  remote ??= wrap<PhotoWorker>(worker);
  return remote;
}

/** Stops whatever it is doing at once; the next call starts a new one. */
export function stopPhotoWorker(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
}
