import { availableParallelism } from 'node:os';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { Db } from '../db/open.ts';
import { photoFiles } from '../photo/files.ts';
import { asError, asPlain, type PlainError } from './plainError.ts';
import { Cancelled, type Bench, type Progress } from './bench.ts';
import { TASKS, type InputOf, type OutputOf, type Task, type TaskName } from './tasks.ts';

/** How a long task is watched and called off. */
export interface Watch {
  readonly onProgress?: (progress: Progress) => void;
  readonly signal?: AbortSignal;
}

/** Runs tasks; the caller need not know where. */
export interface Tasks {
  run<Name extends TaskName>(name: Name, input: InputOf<Name>, watch?: Watch): Promise<OutputOf<Name>>;
  close(): Promise<void>;
}

/** What goes to a thread. */
export interface Order {
  readonly name: TaskName;
  readonly input: unknown;
  readonly port: MessagePort | undefined;
  /** One number that becomes 1 when the task is called off. */
  readonly calledOff: Int32Array;
}

export type Answer = { readonly output: unknown } | { readonly error: PlainError };

/** Reading comes after what is logged at the table; see `setpriority(2)`. */
const NICER = 5;

/**
 * Threads for everything that takes longer than a moment, each with a connection of its own that only reads.
 *
 * @throws what the task threw; errors keep their kind
 */
export function threadedTasks(dataFolder: string): Tasks {
  const filename = new URL('./thread.js', import.meta.url).href;
  const pool = (threads: number) =>
    new Piscina({
      filename,
      workerData: { dataFolder },
      minThreads: 1,
      maxThreads: threads,
      idleTimeout: 30_000,
      niceIncrement: NICER,
      // Without it, a task that found all threads busy goes to the end of the queue again and again.
      stricterFIFO: true,
    });
  const pools = { read: pool(Math.max(1, availableParallelism() - 1)), long: pool(1) };
  return {
    async run(name, input, watch = {}) {
      const { port1, port2 } = new MessageChannel();
      const calledOff = new Int32Array(new SharedArrayBuffer(4));
      const callOff = () => Atomics.store(calledOff, 0, 1);
      if (watch.signal?.aborted) throw new Cancelled();
      watch.signal?.addEventListener('abort', callOff, { once: true });
      port1.on('message', (progress: Progress) => watch.onProgress?.(progress));
      const isWatched = watch.onProgress !== undefined;
      try {
        const order = { name, input, port: isWatched ? port2 : undefined, calledOff };
        const answer = (await pools[TASKS[name].kind].run(order, {
          ...(isWatched && { transferList: [port2] }),
        })) as Answer;
        if ('error' in answer) throw asError(answer.error);
        return answer.output as never;
      } finally {
        watch.signal?.removeEventListener('abort', callOff);
        port1.close();
      }
    },
    async close() {
      await Promise.all(Object.values(pools).map((each) => each.destroy()));
    },
  };
}

/** The same on this very thread and connection: for tests, and where nothing else is to be done meanwhile. */
export function inPlaceTasks(db: Db, dataFolder: string): Tasks {
  const files = photoFiles(dataFolder);
  return {
    async run(name, input, watch = {}) {
      const bench: Bench = {
        db,
        files,
        dataFolder,
        withWriter: (work) => work(db),
        report: (progress) => watch.onProgress?.(progress),
        goOn: () => {
          if (watch.signal?.aborted) throw new Cancelled();
        },
      };
      try {
        return (await (TASKS[name] as Task<unknown, unknown>).run(bench, input)) as never;
      } catch (error) {
        throw asError(asPlain(error));
      }
    },
    close: () => Promise.resolve(),
  };
}
