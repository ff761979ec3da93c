import { wrap, type Remote } from 'comlink';
import type { ColorWorker } from './color.worker.ts';

let worker: Remote<ColorWorker> | undefined;

/** The color worker, started when it is first needed. */
export function colorWorker(): Remote<ColorWorker> {
  worker ??= wrap<ColorWorker>(new Worker(new URL('./color.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}
