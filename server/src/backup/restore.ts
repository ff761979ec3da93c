import { existsSync } from 'node:fs';
import { mkdir, open, readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { DataFolder } from '../folder/folder.ts';
import { isDatabaseName } from '../folder/names.ts';
import { removeEmptyFolder, removeIn, removeNamed, renameIn } from '../folder/remove.ts';
import { sha256Of } from '../folder/sha256.ts';
import { flushFolder, writeWhole } from '../folder/writeWhole.ts';
import { HttpProblem } from '../http/problem.ts';
import { bringPhotosBack } from './backups.ts';
import { copyWhole, type BackupStore, type Manifest } from './store.ts';
import type { Verified } from './verify.ts';

const MOST_SET_ASIDE = 3;
const ENDS = ['', '-wal', '-shm'] as const;

/** Of a folder with what a restore set aside. */
const isStamp = (name: string): boolean => /^\d{4}-\d{2}-\d{2}T[\d-]+Z$/.test(name);

const rootOf = ({ database }: DataFolder) => dirname(database);
const incomingOf = ({ database }: DataFolder) => `${database}.incoming`;
const journalOf = ({ database }: DataFolder) => `${database}.restoring.json`;

/**
 * Puts a backup in the place of the database, which nobody may have open. What was there is set aside. Stopped at any
 * moment, it is either as before, or `finishRestore` carries it through at the next start.
 *
 * @throws HttpProblem 422 when the backup is damaged: nothing was changed then
 */
export async function restore(
  folder: DataFolder,
  from: { readonly store: BackupStore; readonly manifest: Manifest },
  verify: (path: string) => Promise<Verified>,
  stamp: string,
): Promise<void> {
  const { store, manifest } = from;
  const incoming = incomingOf(folder);
  await removeIn(rootOf(folder), incoming);
  await copyWhole(store.databasePath(manifest.name), incoming);
  await flushFile(incoming);
  const { wrong } = await verify(incoming);
  if (wrong !== undefined || (await sha256Of(incoming)) !== manifest.sha256) {
    await removeIn(rootOf(folder), incoming);
    const reason = wrong ?? 'It was changed after it was written.';
    throw new HttpProblem('damaged-backup', `This backup is damaged: ${reason} Choose another one.`);
  }
  await bringPhotosBack(from, folder);
  await writeWhole(journalOf(folder), JSON.stringify({ stamp }));
  await finishRestore(folder);
}

/** Carries a restore through that was stopped, and takes away what one left that had not begun. */
export async function finishRestore(folder: DataFolder): Promise<void> {
  const incoming = incomingOf(folder);
  const journal = journalOf(folder);
  if (!existsSync(journal)) {
    await removeIn(rootOf(folder), incoming);
    return;
  }
  if (existsSync(incoming)) {
    const { stamp } = JSON.parse(await readFile(journal, 'utf8')) as { stamp: string };
    const aside = join(folder.setAside, stamp.replace(/[:.]/g, '-'));
    await mkdir(aside, { recursive: true });
    for (const end of ENDS) {
      const name = `icy-ribbon.sqlite${end}`;
      const path = `${folder.database}${end}`;
      if (existsSync(path)) await renameIn(rootOf(folder), path, join(aside, name));
    }
    await renameIn(rootOf(folder), incoming, folder.database);
    await flushFolder(dirname(folder.database));
  }
  await removeIn(rootOf(folder), journal);
  await keepNewestAside(folder);
}

async function keepNewestAside({ setAside }: DataFolder): Promise<void> {
  const names = (await readdir(setAside).catch(() => [])).sort().reverse();
  for (const name of names.filter(isStamp).slice(MOST_SET_ASIDE)) {
    await removeNamed(setAside, join(setAside, name), isDatabaseName);
    await removeEmptyFolder(setAside, join(setAside, name));
  }
}

async function flushFile(path: string): Promise<void> {
  const file = await open(path, 'r+');
  await file.sync();
  await file.close();
}
