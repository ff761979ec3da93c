import type { Db } from '../db/open.ts';
import { photoFiles } from '../photo/files.ts';
import { filmFrom } from '../standin/camera/filmFrom.ts';
import { Cancelled, type Bench } from './bench.ts';
import { asError, asPlain } from './plainError.ts';
import { TASKS, type Task } from './tasks.ts';
import type { Tasks } from './threads.ts';

/** As `npm run build` leaves it, from the project's root. */
const COMPILED_FILM = 'core/bundle/film.wasm';

/** Tasks on this very thread and connection: for tests, and where nothing else is to be done meanwhile. */
export function inPlaceTasks(db: Db, dataFolder: string): Tasks {
  const files = photoFiles(dataFolder);
  return {
    async run(name, input, watch = {}) {
      const bench: Bench = {
        db,
        files,
        dataFolder,
        makeFilm: filmFrom(COMPILED_FILM),
        withWriter: (work) => work(db),
        beforeWriting: async () => watch.beforeWriting?.(),
        report: (progress) => watch.onProgress?.(progress),
        goOn: () => {
          if (watch.signal?.aborted) throw new Cancelled();
        },
      };
      try {
        return (await (TASKS[name] as Task<unknown, unknown>)(bench, input)) as never;
      } catch (error) {
        throw asError(asPlain(error));
      }
    },
    close: () => Promise.resolve(),
    warmUp: () => {},
  };
}
