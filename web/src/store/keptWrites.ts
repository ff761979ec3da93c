import { withNewNames, type AdditionCreate, type PourEvent, type ReadingsCreate } from '@icy-ribbon/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What was done at the table. Each carries its own id, so that sending it twice changes nothing at the server. */
export type TableWrite =
  | { readonly kind: 'event'; readonly event: PourEvent }
  | { readonly kind: 'addition'; readonly cupId: string; readonly addition: AdditionCreate & { at: string } }
  | { readonly kind: 'take-back'; readonly cupId: string; readonly additionId: string }
  | { readonly kind: 'readings'; readonly readings: ReadingsCreate['readings']; readonly at: string };

/** A write that waits in the browser; `refused` says why the server would not take it. */
export interface KeptWrite {
  readonly id: string;
  readonly pieceId: string;
  /** Sorts by when it was done. */
  readonly order: string;
  readonly refused: string | null;
  readonly write: TableWrite;
}

/** Where writes wait that are not at the server yet, shared by all tabs. */
export interface WriteKeeper {
  all(): Promise<KeptWrite[]>;
  put(kept: KeptWrite): Promise<void>;
  remove(id: string): Promise<void>;
  /** Tells when another tab has put or removed something; gives what stops it. */
  onChange(changed: (change: KeptChange) => void): () => void;
}

const NAME = 'icy-ribbon-pour';
const STORE = 'writes';

export interface KeptChange {
  readonly id: string;
  readonly pieceId: string;
  readonly isRemoved: boolean;
}

interface Schema extends DBSchema {
  [STORE]: { key: string; value: KeptWrite };
  /** Where only events of a pour waited, before weighings and readings did. */
  waiting: {
    key: string;
    value: Omit<KeptWrite, 'id' | 'write'> & { readonly event: PourEvent };
  };
}

/**
 * The browser's database, written through to the disk before a write counts as done: its simple storage is written
 * some seconds later, and a battery that dies in between takes the last of it along.
 */
export function browserKeeper(): WriteKeeper {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const channel = new BroadcastChannel(NAME);
  const database = () =>
    (opened ??= openDB<Schema>(NAME, 2, {
      async upgrade(db, before, _now, tx) {
        db.createObjectStore(STORE, { keyPath: 'id' });
        if (before < 1) return;
        for (const { event, ...kept } of await tx.objectStore('waiting').getAll()) {
          await tx.objectStore(STORE).put({ ...kept, id: event.id, write: { kind: 'event', event } });
        }
        db.deleteObjectStore('waiting');
      },
      // A tab of before holds nothing that is not written down: it may be closed.
      blocking: (_before, _now, event) => (event.target as IDBDatabase).close(),
    }).catch((error: unknown) => {
      opened = undefined;
      throw error;
    }));
  const writing = async () => (await database()).transaction(STORE, 'readwrite', { durability: 'strict' });
  const tell = (change: KeptChange) => channel.postMessage(change);
  return {
    all: async () => withNewNames(await (await database()).getAll(STORE)),
    async put(kept) {
      const tx = await writing();
      await tx.store.put(kept);
      await tx.done;
      tell({ id: kept.id, pieceId: kept.pieceId, isRemoved: false });
    },
    async remove(id) {
      const tx = await writing();
      const kept = await tx.store.get(id);
      await tx.store.delete(id);
      await tx.done;
      if (kept) tell({ id, pieceId: kept.pieceId, isRemoved: true });
    },
    onChange(changed) {
      const listen = ({ data }: MessageEvent<KeptChange>) => changed(data);
      channel.addEventListener('message', listen);
      return () => channel.removeEventListener('message', listen);
    },
  };
}

/** The page's own memory, for where the browser's database is locked: it at least outlives a broken line. */
export function memoryKeeper(): WriteKeeper {
  const kept = new Map<string, KeptWrite>();
  return {
    all: () => Promise.resolve([...kept.values()]),
    put: (item) => Promise.resolve(void kept.set(item.id, item)),
    remove: (id) => Promise.resolve(void kept.delete(id)),
    onChange: () => () => {},
  };
}
