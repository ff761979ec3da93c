import { transfer, wrap, type Remote } from 'comlink';
import type { PictureWorker } from './picture.worker.ts';

/** A worker that paints onto this canvas; undefined where the browser keeps canvases on the page. */
export function newPictureWorker(
  canvas: HTMLCanvasElement,
): { readonly remote: Remote<PictureWorker>; stop(): void } | undefined {
  if (typeof canvas.transferControlToOffscreen !== 'function') return undefined;
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<PictureWorker>(worker);
  const taken = canvas.transferControlToOffscreen();
  void remote.take(transfer(taken, [taken]));
  return { remote, stop: () => worker.terminate() };
}
