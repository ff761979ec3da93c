import { existsSync } from 'node:fs';
import { mkdir, rm, stat } from 'node:fs/promises';
import { isAbsolute, join, relative, resolve } from 'node:path';
import type { Backup, BackupReason } from '@icy-ribbon/contract';
import { Mutex } from 'async-mutex';
import SqliteFile from 'better-sqlite3';
import { storageFault } from '../db/fault.ts';
import { folderOf, type DataFolder } from '../folder/folder.ts';
import { sha256Of } from '../folder/sha256.ts';
import { freeBytes } from '../folder/space.ts';
import { writeWhole } from '../folder/writeWhole.ts';
import { HttpProblem, unfit } from '../http/problem.ts';
import { VERSION } from '../version.ts';
import { keepers } from './rotation.ts';
import { readSettings, writeSettings } from './settings.ts';
import {
  backupStore,
  copyWhole,
  photoFileNames,
  shown,
  sizeOf,
  type BackupStore,
  type Manifest,
} from './store.ts';
import { countsOf, COUNTED, type Verified } from './verify.ts';

/** Room that stays free for what is poured meanwhile. */
const SPARE_BYTES = 200 * 1024 * 1024;
/** Pages that are copied before others get their turn. */
const PAGES_AT_ONCE = 200;

/** The copies of a studio. */
export interface Backups {
  list(): Promise<Backup[]>;
  /** Where a backup can be read: in the data folder, or in the second one. */
  locate(name: string): Promise<{ readonly store: BackupStore; readonly manifest: Manifest } | undefined>;
  make(reason: BackupReason, file: SqliteFile.Database): Promise<Backup>;
  secondFolder(): Promise<string | null>;
  chooseSecond(path: string | null): Promise<void>;
  /** What hindered the last backup, in words. */
  trouble(): string | null;
  /** Whether anything was written since the newest backup. */
  isDue(hours: number, now: Date): Promise<boolean>;
}

/**
 * @param verify reads a copy from end to end, away from this thread
 * @param now the clock
 */
export function openBackups(
  dataFolder: string,
  verify: (path: string) => Promise<Verified>,
  now: () => Date = () => new Date(),
): Backups {
  const folder = folderOf(dataFolder);
  const store = backupStore(folder.backups);
  const turns = new Mutex();
  let trouble: string | null = null;

  const second = async (): Promise<BackupStore | undefined> => {
    const { secondFolder } = await readSettings(folder);
    return secondFolder === null ? undefined : backupStore(secondFolder);
  };

  async function listAll(): Promise<Backup[]> {
    const other = await second();
    const there = new Map((await other?.list())?.map((manifest) => [manifest.name, manifest]));
    const here = await store.list();
    const known = new Set(here.map(({ name }) => name));
    const away = [...there.values()].filter(({ name }) => !known.has(name));
    return [
      ...here.map((each) => shown(each, there.has(each.name))),
      ...away.map((each) => shown(each, true)),
    ].sort((a, b) => (a.name < b.name ? 1 : -1));
  }

  async function makeOne(reason: BackupReason, file: SqliteFile.Database): Promise<Backup> {
    await mkdir(folder.backups, { recursive: true });
    await requireRoom(folder, file);
    const madeAt = now().toISOString();
    const name = `${madeAt.replace(/[:.]/g, '-')}-${reason}`;
    const part = join(folder.backups, `${name}.part`);
    try {
      const before = countsOf(file);
      await file.backup(part, { progress: () => PAGES_AT_ONCE });
      standAlone(part);
      const found = await verify(part);
      const isShort = COUNTED.some((table) => (found.counts?.[table] ?? 0) < before[table]);
      if (found.wrong !== undefined || isShort) {
        throw new HttpProblem('copy-not-whole', found.wrong ?? 'Records are missing from it.');
      }
      const manifest: Manifest = {
        ...{ name, madeAt, reason, version: VERSION },
        bytes: await sizeOf(part),
        pieces: found.counts?.piece ?? 0,
        photos: found.hashes.length,
        sha256: await sha256Of(part),
        hashes: [...found.hashes],
        missing: found.hashes.filter((hash) => !existsSync(join(folder.photos, `${hash}.jpg`))),
      };
      await store.take(part, manifest, folder.photos);
      trouble = null;
      await copyToSecond(manifest);
      const kept = keepers(await store.list(), now());
      await store.keepOnly(kept);
      return shown(manifest, false);
    } finally {
      await rm(part, { force: true });
    }
  }

  async function copyToSecond(manifest: Manifest): Promise<void> {
    const other = await second();
    if (!other) return;
    try {
      await makeFolder(other.folder);
      const part = join(other.folder, `${manifest.name}.part`);
      await copyWhole(store.databasePath(manifest.name), part);
      await other.take(part, manifest, folder.photos);
      await other.keepOnly(keepers(await other.list(), now()));
    } catch (error) {
      trouble = `The second folder could not be written: ${(error as Error).message}`;
    }
  }

  return {
    list: listAll,
    async locate(name) {
      for (const place of [store, await second()]) {
        const manifest = await place?.find(name);
        if (place && manifest) return { store: place, manifest };
      }
      return undefined;
    },
    make: (reason, file) =>
      turns.runExclusive(async () => {
        try {
          return await makeOne(reason, file);
        } catch (error) {
          const fault = storageFault(error);
          trouble =
            fault === 'full'
              ? 'The disk is full: no backup could be made.'
              : error instanceof Error
                ? error.message
                : 'It could not be made.';
          throw error;
        }
      }),
    secondFolder: async () => (await readSettings(folder)).secondFolder,
    chooseSecond: (path) => chooseSecond(folder, dataFolder, path),
    trouble: () => trouble,
    async isDue(hours, at) {
      const [newest] = await store.list();
      if (!newest) return true;
      const age = at.getTime() - Date.parse(newest.madeAt);
      // A clock that was set back makes the newest seem to come from the future: then it is time, too.
      if (age >= 0 && age < hours * 3_600_000) return false;
      return (await lastWrite(folder)) > Date.parse(newest.madeAt) || age < 0;
    },
  };
}

/** A copy opens wherever it lies, without files beside it. */
function standAlone(path: string): void {
  const copy = new SqliteFile(path);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

async function lastWrite({ database }: DataFolder): Promise<number> {
  const times = await Promise.all(
    [database, `${database}-wal`].map(
      async (path) => (await stat(path).catch(() => undefined))?.mtimeMs ?? 0,
    ),
  );
  return Math.max(...times);
}

async function requireRoom(folder: DataFolder, file: SqliteFile.Database): Promise<void> {
  const pages = file.pragma('page_count', { simple: true }) as number;
  const pageSize = file.pragma('page_size', { simple: true }) as number;
  const needed = 1.1 * pages * pageSize + SPARE_BYTES;
  if ((await freeBytes(folder.backups)) >= needed) return;
  throw new HttpProblem(
    'no-room-for-backup',
    `There is no room for a backup: it needs about ${Math.ceil(needed / 1e6)} MB on the disk of the data folder.`,
  );
}

async function chooseSecond(folder: DataFolder, dataFolder: string, path: string | null): Promise<void> {
  if (path !== null) {
    if (!isAbsolute(path)) throw unfit('path', 'Give the whole path, from the top of the disk.');
    const inside = relative(resolve(dataFolder), resolve(path));
    if (inside === '' || (!inside.startsWith('..') && !isAbsolute(inside))) {
      throw unfit('path', 'Choose a folder outside of the data folder, best on another disk.');
    }
    try {
      await makeFolder(path);
      const probe = join(path, 'icy-ribbon.part');
      await writeWhole(probe, '');
      await rm(probe, { force: true });
    } catch {
      throw unfit('path', 'This folder cannot be written: choose another one.');
    }
  }
  await writeSettings(folder, { secondFolder: path });
}

/** One new folder in one that is there: a whole row of them is more likely a slip. */
async function makeFolder(path: string): Promise<void> {
  if (!existsSync(path)) await mkdir(path);
}

/** Every photo file that a backup has and the data folder lacks. */
export async function bringPhotosBack(
  { store, manifest }: { store: BackupStore; manifest: Manifest },
  { photos }: DataFolder,
): Promise<void> {
  await mkdir(photos, { recursive: true });
  for (const name of manifest.hashes.flatMap(photoFileNames)) {
    const to = join(photos, name);
    if (!existsSync(to) && existsSync(store.photoPath(name))) await copyWhole(store.photoPath(name), to);
  }
}
