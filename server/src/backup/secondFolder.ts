import { existsSync } from 'node:fs';
import { lstat, mkdir, readdir, readFile, realpath, stat } from 'node:fs/promises';
import { dirname, isAbsolute, join } from 'node:path';
import { z } from 'zod';
import type { DataFolder } from '../folder/folder.ts';
import { liesIn, removeIn } from '../folder/remove.ts';
import { writeWhole } from '../folder/writeWhole.ts';
import { unfit } from '../http/problem.ts';
import { changeSettings, readSettings, studioIdOf } from './settings.ts';
import { backupStore, type BackupStore } from './store.ts';

/**
 * The folder that the artist names holds whatever it holds. Backups go into a folder of our own in it, whose name and
 * whose first file say of which studio they are; nothing outside of that one is ever removed or written over.
 */

const MARKER = 'icy-ribbon-backups.json';
const FOLDER = 'icy-ribbon-backups-';
const markerSchema = z.object({ studio: z.uuid() });

/** Where backups are copied to, and where others lie that can be read. */
export interface SecondFolder {
  readonly path: string;
  /** Of this studio; its folder may not be there yet. */
  readonly own: BackupStore;
  /** Only read: what versions before this one put right into the folder, and what is of other studios, or of this one before it was moved. */
  readonly older: BackupStore;
  readonly others: readonly BackupStore[];
}

/** The second folder as it is chosen; undefined without one. */
export async function secondFolderOf(folder: DataFolder): Promise<SecondFolder | undefined> {
  const { secondFolder: path } = await readSettings(folder);
  if (path === null) return undefined;
  const ownName = `${FOLDER}${await studioIdOf(folder)}`;
  const names = (await readdir(path).catch(() => [])).filter(
    (name) => name.startsWith(FOLDER) && name !== ownName,
  );
  return {
    path,
    own: backupStore(join(path, ownName)),
    older: backupStore(path),
    others: names.map((name) => backupStore(join(path, name))),
  };
}

/**
 * Makes sure that a store's folder is of our making.
 *
 * @throws Error with a sentence when something else bears its name
 */
export async function makeOwn({ folder }: BackupStore, studioId: string): Promise<void> {
  await mkdir(dirname(folder), { recursive: false }).catch(ignoreThere);
  await mkdir(folder).catch(ignoreThere);
  const isFolder = (await lstat(folder)).isDirectory();
  const marker = join(folder, MARKER);
  if (isFolder && (await studioAt(marker)) === studioId) return;
  if (!isFolder || (await readdir(folder)).length > 0) {
    throw new Error(`"${folder}" isn't a folder of this studio's backups. Move it, then back up again.`);
  }
  await writeWhole(marker, JSON.stringify({ studio: studioId }));
}

function ignoreThere(error: NodeJS.ErrnoException): void {
  if (error.code !== 'EEXIST') throw error;
}

async function studioAt(marker: string): Promise<string | undefined> {
  try {
    return markerSchema.parse(JSON.parse(await readFile(marker, 'utf8'))).studio;
  } catch {
    return undefined;
  }
}

/**
 * Takes a folder as the second one, null for none.
 *
 * @throws HttpProblem 422 when it cannot be written, or is, holds or lies in the data folder of a studio
 */
export async function chooseSecond(folder: DataFolder, path: string | null): Promise<void> {
  if (path !== null) {
    if (!isAbsolute(path)) throw unfit('path', 'Enter the whole path, from the top of the disk.');
    await makeFolder(path);
    await requireApart(dirname(folder.database), path);
    try {
      const probe = join(path, `icy-ribbon-${await studioIdOf(folder)}.part`);
      await writeWhole(probe, '');
      await removeIn(path, probe);
    } catch {
      throw CANNOT_WRITE();
    }
  }
  await changeSettings(folder, { secondFolder: path });
}

const CANNOT_WRITE = () => unfit('path', "This folder can't be written to. Choose another one.");

/** One new folder in one that is there: a whole row of them is more likely a slip. */
async function makeFolder(path: string): Promise<void> {
  try {
    if (!existsSync(path)) await mkdir(path);
    if (!(await stat(path)).isDirectory()) throw CANNOT_WRITE();
  } catch {
    throw CANNOT_WRITE();
  }
}

const isDataFolder = (path: string) => existsSync(join(path, 'icy-ribbon.sqlite'));
/** As many entries are looked at for studios inside. */
const MOST_LOOKED_AT = 2000;

async function requireApart(dataFolder: string, chosen: string): Promise<void> {
  const [here, there] = [await realpath(dataFolder), await realpath(chosen)];
  const apart = "Choose a folder that isn't part of a studio's data, ideally on another disk.";
  if (here === there || liesIn(here, there) || liesIn(there, here)) throw unfit('path', apart);
  for (let above = there; ; above = dirname(above)) {
    if (isDataFolder(above)) throw unfit('path', apart);
    if (above === dirname(above)) break;
  }
  if (await holdsStudio(there)) throw unfit('path', apart);
}

/** Whether the data folder of a studio lies right in a folder, or one further down. */
async function holdsStudio(path: string): Promise<boolean> {
  let looked = 0;
  let folders = [path];
  for (let depth = 0; depth < 2; depth += 1) {
    const next: string[] = [];
    for (const folder of folders) {
      const entries = await readdir(folder, { withFileTypes: true }).catch(() => []);
      for (const entry of entries) {
        looked += 1;
        if (looked > MOST_LOOKED_AT) return false;
        if (!entry.isDirectory()) continue;
        const inside = join(folder, entry.name);
        if (isDataFolder(inside)) return true;
        next.push(inside);
      }
    }
    folders = next;
  }
  return false;
}

/** Whether a folder lies on the same disk as the data: its photos are then hard links, not copies. */
export async function isOnSameDisk({ database }: DataFolder, path: string): Promise<boolean> {
  const [here, there] = await Promise.all(
    [dirname(database), path].map((each) => stat(each).catch(() => undefined)),
  );
  return here !== undefined && here.dev === there?.dev;
}
