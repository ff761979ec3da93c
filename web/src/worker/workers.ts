import { transfer, wrap, type Remote } from 'comlink';
import type { ColorWorker } from './color.worker.ts';
import type { CsvWorker } from './csv.worker.ts';
import type { FilmWorker } from './film.worker.ts';
import type { OrderWorker } from './order.worker.ts';
import type { PhotoWorker } from './photo.worker.ts';
import type { PictureWorker } from './picture.worker.ts';

/** A worker with what it can be asked, and the way to stop it at once. */
interface Started<Asked> {
  readonly remote: Remote<Asked>;
  stop(): void;
}

const started = <Asked>(worker: Worker): Started<Asked> => ({
  remote: wrap<Asked>(worker),
  stop: () => worker.terminate(),
});

/** One worker of a kind, started when it is first needed; stopped, what it holds is gone and the next call starts anew. */
function kept<Asked>(start: () => Worker): { ask(): Remote<Asked>; stop(): void } {
  let running: Started<Asked> | undefined;
  return {
    ask: () => (running ??= started<Asked>(start())).remote,
    stop() {
      running?.stop();
      running = undefined;
    },
  };
}

const color = kept<ColorWorker>(
  () => new Worker(new URL('./color.worker.ts', import.meta.url), { type: 'module' }),
);
const csv = kept<CsvWorker>(
  () => new Worker(new URL('./csv.worker.ts', import.meta.url), { type: 'module' }),
);
const order = kept<OrderWorker>(
  () => new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' }),
);
const photo = kept<PhotoWorker>(
  () => new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }),
);

export const colorWorker = color.ask;
/** Reads tables. */
export const csvWorker = csv.ask;
export const stopCsvWorker = csv.stop;
export const orderWorker = order.ask;
export const photoWorker = photo.ask;
export const stopPhotoWorker = photo.stop;

/** A film worker of one's own: several can run side by side. */
export const newFilmWorker = (): Started<FilmWorker> =>
  started(new Worker(new URL('./film.worker.ts', import.meta.url), { type: 'module' }));

/** A worker that paints onto this canvas; undefined where the browser keeps canvases on the page. */
export function newPictureWorker(canvas: HTMLCanvasElement): Started<PictureWorker> | undefined {
  if (typeof canvas.transferControlToOffscreen !== 'function') return undefined;
  const worker = started<PictureWorker>(
    new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }),
  );
  const taken = canvas.transferControlToOffscreen();
  void worker.remote.take(transfer(taken, [taken]));
  return worker;
}
