import { availableParallelism } from 'node:os';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { asError, asPlain, type PlainError } from './plainError.ts';
import { Cancelled, type Progress } from './bench.ts';
import { TASK_KINDS, type TaskKind } from './kinds.ts';
import type { InputOf, OutputOf, TaskName } from './tasks.ts';

/** How a long task is watched and called off. */
export interface Watch {
  readonly onProgress?: (progress: Progress) => void;
  readonly signal?: AbortSignal;
  /** Done when the task is about to change something. */
  readonly beforeWriting?: () => Promise<void>;
}

/** Runs tasks; the caller need not know where. */
export interface Tasks {
  run<Name extends TaskName>(name: Name, input: InputOf<Name>, watch?: Watch): Promise<OutputOf<Name>>;
  close(): Promise<void>;
  /** Starts the threads that answer pages, so that the first page need not wait for them. */
  warmUp(): void;
}

/** What goes to a thread. */
export interface Order {
  readonly name: TaskName;
  readonly input: unknown;
  readonly port: MessagePort | undefined;
  /** One number that becomes 1 when the task is called off. */
  readonly calledOff: Int32Array;
}

/** What a thread says before it changes anything; it waits for `Prepared` then. */
export const BEFORE_WRITING = 'before writing';
export type Prepared = { readonly error?: PlainError };

async function prepare({ beforeWriting }: Watch): Promise<Prepared> {
  try {
    await beforeWriting?.();
    return {};
  } catch (error) {
    return { error: asPlain(error) };
  }
}

export type Answer = { readonly output: unknown } | { readonly error: PlainError };

/** Reading comes after what is logged at the table; see `setpriority(2)`. */
const NICER = 5;
/** A file that comes in takes minutes; a photo or a zip need not wait for it. */
const LONG_AT_ONCE = 2;

/**
 * Threads for everything that takes longer than a moment, each with a connection of its own that only reads.
 *
 * @throws what the task threw; errors keep their kind
 */
export function threadedTasks(dataFolder: string): Tasks {
  const filename = new URL('./thread.js', import.meta.url).href;
  const pool = (kind: TaskKind) =>
    new Piscina({
      filename,
      workerData: { dataFolder, kind },
      minThreads: 1,
      maxThreads: kind === 'read' ? Math.max(1, availableParallelism() - 1) : LONG_AT_ONCE,
      idleTimeout: 30_000,
      niceIncrement: NICER,
      // Without it, a task that found all threads busy goes to the end of the queue again and again.
      stricterFIFO: true,
    });
  /** Started when they are first needed, so that the server answers before they are there. */
  const pools = new Map<TaskKind, Piscina>();
  const poolOf = (kind: TaskKind): Piscina => {
    const found = pools.get(kind) ?? pool(kind);
    pools.set(kind, found);
    return found;
  };
  return {
    async run(name, input, watch = {}) {
      const { port1, port2 } = new MessageChannel();
      const calledOff = new Int32Array(new SharedArrayBuffer(4));
      const callOff = () => Atomics.store(calledOff, 0, 1);
      if (watch.signal?.aborted) throw new Cancelled();
      watch.signal?.addEventListener('abort', callOff, { once: true });
      port1.on('message', (said: Progress | typeof BEFORE_WRITING) => {
        if (said !== BEFORE_WRITING) watch.onProgress?.(said);
        else void prepare(watch).then((reply) => port1.postMessage(reply));
      });
      const isWatched = watch.onProgress !== undefined;
      try {
        const order = { name, input, port: isWatched ? port2 : undefined, calledOff };
        const answer = (await poolOf(TASK_KINDS[name]).run(order, {
          ...(isWatched && { transferList: [port2] }),
        })) as Answer;
        if ('error' in answer) throw asError(answer.error);
        return answer.output as never;
      } finally {
        watch.signal?.removeEventListener('abort', callOff);
        port1.close();
      }
    },
    warmUp() {
      poolOf('read');
    },
    async close() {
      await Promise.all([...pools.values()].map((each) => each.destroy()));
    },
  };
}
