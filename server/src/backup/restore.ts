import { existsSync } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { DataFolder } from '../folder/folder.ts';
import { sha256Of } from '../folder/sha256.ts';
import { flushFolder, writeWhole } from '../folder/writeWhole.ts';
import { HttpProblem } from '../http/problem.ts';
import { bringPhotosBack } from './backups.ts';
import { copyWhole, type BackupStore, type Manifest } from './store.ts';
import type { Verified } from './verify.ts';

const MOST_SET_ASIDE = 3;
const ENDS = ['', '-wal', '-shm'] as const;

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
  await rm(incoming, { force: true });
  await copyWhole(store.databasePath(manifest.name), incoming);
  await flushFile(incoming);
  const { wrong } = await verify(incoming);
  if (wrong !== undefined || (await sha256Of(incoming)) !== manifest.sha256) {
    await rm(incoming, { force: true });
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
    await rm(incoming, { force: true });
    return;
  }
  if (existsSync(incoming)) {
    const { stamp } = JSON.parse(await readFile(journal, 'utf8')) as { stamp: string };
    const aside = join(folder.setAside, stamp.replace(/[:.]/g, '-'));
    await mkdir(aside, { recursive: true });
    for (const end of ENDS) {
      const name = `icy-ribbon.sqlite${end}`;
      const path = `${folder.database}${end}`;
      if (existsSync(path)) await rename(path, join(aside, name));
    }
    await rename(incoming, folder.database);
    await flushFolder(dirname(folder.database));
  }
  await rm(journal, { force: true });
  await keepNewestAside(folder);
}

async function keepNewestAside({ setAside }: DataFolder): Promise<void> {
  const names = (await readdir(setAside).catch(() => [])).sort().reverse();
  for (const name of names.slice(MOST_SET_ASIDE))
    await rm(join(setAside, name), { recursive: true, force: true });
}

async function flushFile(path: string): Promise<void> {
  const file = await open(path, 'r+');
  await file.sync();
  await file.close();
}
