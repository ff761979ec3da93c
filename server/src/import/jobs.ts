import { randomUUID } from 'node:crypto';
import type { ImportJob, ImportKind } from '@icy-ribbon/contract';
import { SIGNED_OUT } from '../device/caller.ts';
import { removeIn } from '../folder/remove.ts';
import { asProblem, bodyOf, HttpProblem, notFound } from '../http/problem.ts';
import { Cancelled } from '../task/bench.ts';
import type { Tasks, Watch } from '../task/threads.ts';

const TASK_OF = { studio: 'readArchive', piece: 'readDocument', materials: 'readMaterials' } as const;
/** Jobs that are over are remembered for whoever asks a little later. */
const MOST_REMEMBERED = 100;
const MOST_WAITING = 20;

interface Entry {
  job: ImportJob;
  readonly stop: AbortController;
}

/** Files on their way in, one after the other. */
export interface ImportJobs {
  /**
   * Takes a received file over; it is taken away when the job is over.
   *
   * @param isIn whether whoever sent it is still let in when it is about to be written
   */
  begin(kind: ImportKind, path: string, isIn?: () => boolean): ImportJob;
  get(id: string): ImportJob;
  cancel(id: string): ImportJob;
  /** When nothing is on its way any more. */
  idle(): Promise<void>;
}

/**
 * @param incoming where files lie that are on their way in
 * @param before done when a file was found good, before anything of it is written: a backup
 * @param log told of faults that are the program's own
 */
export function importJobs(
  tasks: Tasks,
  incoming: string,
  before: (kind: ImportKind) => Promise<void>,
  log: (error: unknown) => void,
): ImportJobs {
  const entries = new Map<string, Entry>();
  let queue: Promise<void> = Promise.resolve();

  const entryOf = (id: string): Entry => {
    const entry = entries.get(id);
    if (!entry) throw notFound('import');
    return entry;
  };

  async function run(entry: Entry, path: string, isIn: () => boolean): Promise<void> {
    const { signal } = entry.stop;
    const change = (changes: Partial<ImportJob>) => (entry.job = { ...entry.job, ...changes });
    const { kind } = entry.job;
    try {
      if (signal.aborted) throw new Cancelled();
      change({ state: 'running', phase: 'Reading' });
      const watch: Watch = {
        onProgress: (progress) => change(progress),
        async beforeWriting() {
          if (!isIn()) throw SIGNED_OUT();
          await before(kind);
        },
        signal,
      };
      const result = await tasks.run(TASK_OF[kind], { path }, watch);
      change({ state: 'done', phase: 'Done', done: 1, total: 1, result: { [kind]: result } });
    } catch (error) {
      if (error instanceof Cancelled) {
        change({ state: 'cancelled', phase: 'Called off' });
        return;
      }
      const problem = asProblem(error);
      if (!problem) log(error);
      const shown = problem ?? new HttpProblem('broke', 'The server ran into a fault. Nothing was changed.');
      change({ state: 'refused', phase: 'Refused', problem: bodyOf(shown) });
    } finally {
      await removeIn(incoming, path);
    }
  }

  return {
    begin(kind, path, isIn = () => true) {
      const waiting = [...entries.values()].filter(({ job }) => job.state === 'waiting').length;
      if (waiting >= MOST_WAITING) {
        void removeIn(incoming, path);
        throw new HttpProblem('busy', 'Many files are on their way in: try again when some are through.');
      }
      const job: ImportJob = {
        ...{ id: randomUUID(), kind, state: 'waiting', phase: 'Waiting' },
        ...{ done: 0, total: 1, result: null, problem: null },
      };
      const entry: Entry = { job, stop: new AbortController() };
      entries.set(job.id, entry);
      for (const [id, { job: old }] of entries) {
        if (entries.size <= MOST_REMEMBERED) break;
        if (old.state !== 'waiting' && old.state !== 'running') entries.delete(id);
      }
      queue = queue.then(() => run(entry, path, isIn));
      return job;
    },
    get: (id) => entryOf(id).job,
    cancel(id) {
      const entry = entryOf(id);
      entry.stop.abort();
      return entry.job;
    },
    idle: () => queue,
  };
}
