import type { FitMeasures } from '@icy-ribbon/core/judgement/fit';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

const NAME = 'icy-ribbon-fit';
const STORE = 'runs';

/** Runs of a pour in the film, and all that they were reckoned from. */
interface KeptRuns {
  readonly pieceId: string;
  readonly from: string;
  readonly runs: readonly FitMeasures[];
}

interface Schema extends DBSchema {
  [STORE]: { key: string; value: KeptRuns };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const database = () =>
  (opened ??= openDB<Schema>(NAME, 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'pieceId' }),
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  }));

/** A pour's runs from before, in the browser's database: null when it has none from the very same record. */
export async function keptRuns(pieceId: string, from: string): Promise<readonly FitMeasures[] | null> {
  try {
    const kept = await (await database()).get(STORE, pieceId);
    return kept?.from === from ? kept.runs : null;
  } catch {
    // A locked database: it is reckoned again.
    return null;
  }
}

export async function keepRuns(pieceId: string, from: string, runs: readonly FitMeasures[]): Promise<void> {
  try {
    await (await database()).put(STORE, { pieceId, from, runs });
  } catch {
    // Nothing but time is lost.
  }
}
