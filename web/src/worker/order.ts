import { wrap, type Remote } from 'comlink';
import type { OrderWorker } from './order.worker.ts';

let worker: Remote<OrderWorker> | undefined;

/** The order worker, started when it is first needed. */
export function orderWorker(): Remote<OrderWorker> {
  worker ??= wrap<OrderWorker>(new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}
