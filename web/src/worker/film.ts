import { wrap, type Remote } from 'comlink';
import type { FilmWorker } from './film.worker.ts';

/** A film worker of one's own: several can run side by side. */
export function newFilmWorker(): { readonly remote: Remote<FilmWorker>; stop(): void } {
  const worker = new Worker(new URL('./film.worker.ts', import.meta.url), { type: 'module' });
  return { remote: wrap<FilmWorker>(worker), stop: () => worker.terminate() };
}
