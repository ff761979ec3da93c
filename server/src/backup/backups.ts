import { existsSync } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Backup, BackupReason } from '@icy-ribbon/contract';
import { Mutex } from 'async-mutex';
import SqliteFile from 'better-sqlite3';
import { storageFault } from '../db/fault.ts';
import { folderOf, type DataFolder } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { sha256Of } from '../folder/sha256.ts';
import { freeBytes } from '../folder/space.ts';
import { HttpProblem } from '../http/problem.ts';
import { VERSION } from '../version.ts';
import { keepers, mostBackupBytes } from './rotation.ts';
import { chooseSecond, isOnSameDisk, makeOwn, secondFolderOf } from './secondFolder.ts';
import { readSettings, studioIdOf } from './settings.ts';
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
  /** @param spared name of one that stays, whatever the rotation says: it is about to be put back */
  make(reason: BackupReason, file: SqliteFile.Database, spared?: string): Promise<Backup>;
  secondFolder(): Promise<{ readonly path: string; readonly isSameDisk: boolean } | null>;
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

  async function listAll(): Promise<Backup[]> {
    const second = await secondFolderOf(folder);
    const listed = new Map((await store.list()).map((each) => [each.name, shown(each, false)]));
    for (const manifest of (await second?.own.list()) ?? []) listed.set(manifest.name, shown(manifest, true));
    for (const other of second ? [second.older, ...second.others] : []) {
      for (const manifest of await other.list()) {
        const known = listed.get(manifest.name);
        const isOfOther = other !== second?.older;
        listed.set(manifest.name, known ? { ...known, isCopied: true } : shown(manifest, true, isOfOther));
      }
    }
    return [...listed.values()].sort((a, b) => (a.name < b.name ? 1 : -1));
  }

  /** Drops from a store what its room no longer holds. */
  async function rotate(each: BackupStore, spared: string | undefined): Promise<void> {
    const all = await each.list();
    const most = mostBackupBytes(
      await freeBytes(each.folder),
      all.reduce((sum, { bytes }) => sum + bytes, 0),
    );
    const kept = keepers(all, now(), most);
    await each.keepOnly(spared === undefined ? kept : kept.add(spared));
  }

  async function makeOne(
    reason: BackupReason,
    file: SqliteFile.Database,
    spared: string | undefined,
  ): Promise<Backup> {
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
      await copyToSecond(manifest, spared);
      await rotate(store, spared);
      return shown(manifest, false);
    } finally {
      await removeIn(folder.backups, part);
    }
  }

  async function copyToSecond(manifest: Manifest, spared: string | undefined): Promise<void> {
    const second = await secondFolderOf(folder);
    if (!second) return;
    const { own } = second;
    try {
      await makeOwn(own, await studioIdOf(folder));
      const part = join(own.folder, `${manifest.name}.part`);
      await copyWhole(store.databasePath(manifest.name), part, manifest.sha256);
      await own.take(part, manifest, folder.photos);
      await rotate(own, spared);
    } catch (error) {
      trouble = `The second folder couldn't be written to: ${(error as Error).message}`;
    }
  }

  return {
    list: listAll,
    async locate(name) {
      const second = await secondFolderOf(folder);
      for (const place of [store, ...(second ? [second.own, second.older, ...second.others] : [])]) {
        const manifest = await place.find(name);
        if (manifest) return { store: place, manifest };
      }
      return undefined;
    },
    make: (reason, file, spared) =>
      turns.runExclusive(async () => {
        try {
          return await makeOne(reason, file, spared);
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
    async secondFolder() {
      const { secondFolder: path } = await readSettings(folder);
      return path === null ? null : { path, isSameDisk: await isOnSameDisk(folder, path) };
    },
    chooseSecond: (path) => chooseSecond(folder, path),
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
    `There's too little room on the disk for a backup. Nothing was changed. Free up ${Math.ceil(needed / 1e6)} MB on the disk of the data folder, then try again.`,
  );
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
