import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import SqliteFile from 'better-sqlite3';
import { sqliteCode } from '../db/fault.ts';
import { folderOf } from './folder.ts';
import { removeInNow } from './remove.ts';
import { writeWhole } from './writeWhole.ts';

/** The data folder, held by this process alone. */
export interface FolderLock {
  /** Tells others where this server can be reached. */
  tell(address: string): Promise<void>;
  release(): void;
}

const WAIT_FOR_ADDRESS_MS = 100;
const TRIES = 50;

/**
 * Takes a data folder for this process. The lock is the operating system's, through SQLite: it ends with the process,
 * however that ends.
 *
 * @returns the lock, or where the server that holds it can be reached (undefined while it has not said)
 */
export async function takeLock(
  dataFolder: string,
): Promise<FolderLock | { readonly heldAt: string | undefined }> {
  mkdirSync(dataFolder, { recursive: true });
  const { lock: path, running } = folderOf(dataFolder);
  const lock = new SqliteFile(path, { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (sqliteCode(error) !== 'SQLITE_BUSY') throw error;
    return { heldAt: await addressOfOther(running) };
  }
  removeInNow(dataFolder, running);
  return {
    tell: (address) => writeWhole(running, JSON.stringify({ address, pid: process.pid })),
    release() {
      removeInNow(dataFolder, running);
      lock.close();
    },
  };
}

/** The other server may just be starting. */
async function addressOfOther(path: string): Promise<string | undefined> {
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    if (existsSync(path)) {
      const { address } = JSON.parse(readFileSync(path, 'utf8')) as { address: string };
      return address;
    }
    await sleep(WAIT_FOR_ADDRESS_MS);
  }
  return undefined;
}
