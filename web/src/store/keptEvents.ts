import type { PourEvent } from '@icy-ribbon/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

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

interface Schema extends DBSchema {
  [STORE]: { key: string; value: KeptEvent };
}

/**
 * The browser's database, written through to the disk before a write counts as done: its simple storage is written
 * some seconds later, and a battery that dies in between takes the last events along.
 */
export function browserKeeper(): EventKeeper {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const channel = new BroadcastChannel(NAME);
  const database = () =>
    (opened ??= openDB<Schema>(NAME, 1, {
      upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'event.id' }),
    }).catch((error: unknown) => {
      opened = undefined;
      throw error;
    }));
  const writing = async () => (await database()).transaction(STORE, 'readwrite', { durability: 'strict' });
  const tell = (change: KeptChange) => channel.postMessage(change);
  return {
    all: async () => (await database()).getAll(STORE),
    async put(kept) {
      const tx = await writing();
      await tx.store.put(kept);
      await tx.done;
      tell({ eventId: kept.event.id, pieceId: kept.pieceId, isRemoved: false });
    },
    async remove(eventId) {
      const tx = await writing();
      const kept = await tx.store.get(eventId);
      await tx.store.delete(eventId);
      await tx.done;
      if (kept) tell({ eventId, pieceId: kept.pieceId, isRemoved: true });
    },
    onChange(changed) {
      const listen = ({ data }: MessageEvent<KeptChange>) => changed(data);
      channel.addEventListener('message', listen);
      return () => channel.removeEventListener('message', listen);
    },
  };
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
