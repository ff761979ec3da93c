import type { Photo } from '@icy-ribbon/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A photo that is on its way to the server, with the file itself: a reload or a dead battery does not lose it. */
export interface KeptPhoto {
  readonly id: string;
  readonly pieceId: string;
  readonly pieceName: string;
  readonly state: Photo['state'];
  readonly keepOriginal: boolean;
  readonly file: Blob;
  /** Where the server has the first part of it. */
  readonly url: string | null;
  readonly takenAt: string;
}

const NAME = 'icy-ribbon-photos';
const STORE = 'photos';

interface Schema extends DBSchema {
  [STORE]: { key: string; value: KeptPhoto };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const database = () =>
  (opened ??= openDB<Schema>(NAME, 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'id' }),
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  }));

/** A locked or full database keeps nothing: then a photo lives as long as its page. */
const orNothing =
  <Value>(nothing: Value) =>
  (): Value =>
    nothing;

export async function keptPhotos(): Promise<readonly KeptPhoto[]> {
  if (typeof indexedDB === 'undefined') return [];
  const all = await database()
    .then((db) => db.getAll(STORE))
    .catch(orNothing<KeptPhoto[]>([]));
  return all.sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1));
}

export async function keepPhoto(photo: KeptPhoto): Promise<void> {
  if (typeof indexedDB === 'undefined') return;
  await database()
    .then((db) => db.put(STORE, photo))
    .then(orNothing(undefined), orNothing(undefined));
}

export async function dropPhoto(id: string): Promise<void> {
  if (typeof indexedDB === 'undefined') return;
  await database()
    .then((db) => db.delete(STORE, id))
    .catch(orNothing(undefined));
}
