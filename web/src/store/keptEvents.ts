import type { PourEvent } from '@icy-ribbon/contract';
import { openDB, type IDBPDatabase } from 'idb';

/** An event that waits in the browser; `refused` says why the server would not take it. */
export interface KeptEvent {
  readonly event: PourEvent;
  readonly pieceId: string;
  /** Sorts by when it was logged. */
  readonly order: string;
  readonly refused: string | null;
}

/** Where events wait that are not at the server yet, shared by all tabs. */
export interface EventKeeper {
  all(): Promise<KeptEvent[]>;
  put(kept: KeptEvent): Promise<void>;
  remove(eventId: string): Promise<void>;
  /** Tells when another tab has put or removed something; gives what stops it. */
  onChange(changed: (change: KeptChange) => void): () => void;
}

const NAME = 'icy-ribbon-pour';
const STORE = 'waiting';

export interface KeptChange {
  readonly eventId: string;
  readonly pieceId: string;
  readonly isRemoved: boolean;
}

/**
 * The browser's database, written through to the disk before a write counts as done: its simple storage is written
 * some seconds later, and a battery that dies in between takes the last events along.
 */
export function browserKeeper(): EventKeeper {
  let opened: Promise<IDBPDatabase> | undefined;
  const channel = new BroadcastChannel(NAME);
  const database = () =>
    (opened ??= openDB(NAME, 1, {
      upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'event.id' }),
    }));
  const write = async (change: KeptChange, work: (store: Writable) => Promise<unknown>) => {
    const tx = (await database()).transaction(STORE, 'readwrite', { durability: 'strict' });
    await work(tx.objectStore(STORE) as unknown as Writable);
    await tx.done;
    channel.postMessage(change);
  };
  return {
    all: async () => (await (await database()).getAll(STORE)) as KeptEvent[],
    put: (kept) =>
      write({ eventId: kept.event.id, pieceId: kept.pieceId, isRemoved: false }, (store) => store.put(kept)),
    async remove(eventId) {
      const kept = (await (await database()).get(STORE, eventId)) as KeptEvent | undefined;
      if (kept)
        await write({ eventId, pieceId: kept.pieceId, isRemoved: true }, (store) => store.delete(eventId));
    },
    onChange(changed) {
      const listen = ({ data }: MessageEvent<KeptChange>) => changed(data);
      channel.addEventListener('message', listen);
      return () => channel.removeEventListener('message', listen);
    },
  };
}

interface Writable {
  put(value: KeptEvent): Promise<unknown>;
  delete(key: string): Promise<unknown>;
}

/** The page's own memory, for where the browser's database is locked: it at least outlives a broken line. */
export function memoryKeeper(): EventKeeper {
  const kept = new Map<string, KeptEvent>();
  return {
    all: () => Promise.resolve([...kept.values()]),
    put: (item) => Promise.resolve(void kept.set(item.event.id, item)),
    remove: (eventId) => Promise.resolve(void kept.delete(eventId)),
    onChange: () => () => {},
  };
}
