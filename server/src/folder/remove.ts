import { realpathSync, rmSync } from 'node:fs';
import { realpath, readdir, rename, rm, rmdir } from 'node:fs/promises';
import { basename, dirname, isAbsolute, join, relative, resolve, sep } from 'node:path';
import { sqliteCode } from '../db/fault.ts';

/**
 * The one place in the server that takes files away or puts one in the place of another. Each call names the folder of
 * our own making that it may touch, and nothing beyond it is touched, whatever links lead out of it. A test holds that
 * no other file of the server does such a thing.
 */

/** Something outside of the folder that was named was to be taken away or replaced: nothing was. */
export class OutsideRoot extends Error {
  constructor(root: string, path: string) {
    super(`"${path}" does not lie in "${root}": nothing was removed.`);
  }
}

/** Whether a path lies in a folder, as paths are written. */
export function liesIn(root: string, path: string): boolean {
  const inside = relative(resolve(root), resolve(path));
  return inside !== '' && inside !== '..' && !inside.startsWith(`..${sep}`) && !isAbsolute(inside);
}

const isMissing = (error: unknown): boolean => ['ENOENT', 'ENOTDIR'].includes(sqliteCode(error) ?? '');

/** Where a file really is: links in the way to it are followed, the last one is not. */
const placeOf = (realFolder: string, path: string) => join(realFolder, basename(path));

/**
 * Takes a file away; a link goes, never what it leads to; what is not there is none.
 *
 * @throws OutsideRoot
 */
export async function removeIn(root: string, path: string): Promise<void> {
  try {
    const place = await bounded(root, path);
    await rm(place, { force: true });
  } catch (error) {
    if (!isMissing(error)) throw error;
  }
}

/** The same at once, for the end of the process. */
export function removeInNow(root: string, path: string): void {
  if (!liesIn(root, path)) throw new OutsideRoot(root, path);
  try {
    const place = placeOf(realpathSync(dirname(path)), path);
    if (!liesIn(realpathSync(root), place)) throw new OutsideRoot(root, path);
    rmSync(place, { force: true });
  } catch (error) {
    if (!isMissing(error)) throw error;
  }
}

/**
 * Takes away the files that lie right in a folder and bear a name of ours. Folders, and files with other names, stay.
 *
 * @returns how many
 * @throws OutsideRoot when the folder is neither the root nor in it
 */
export async function removeNamed(
  root: string,
  folder: string,
  isOurs: (name: string) => boolean | Promise<boolean>,
): Promise<number> {
  if (resolve(folder) !== resolve(root) && !liesIn(root, folder)) throw new OutsideRoot(root, folder);
  // A folder that is a link to another place is none of our making.
  const real = await realpath(folder).catch(() => undefined);
  const realRoot = await realpath(root).catch(() => undefined);
  if (real === undefined || realRoot === undefined) return 0;
  if (real !== realRoot && !liesIn(realRoot, real)) return 0;
  const entries = await readdir(real, { withFileTypes: true });
  let removed = 0;
  for (const entry of entries) {
    if (entry.isDirectory() || !(await isOurs(entry.name))) continue;
    await removeIn(root, join(folder, entry.name));
    removed += 1;
  }
  return removed;
}

/** Takes a folder away that nothing is in any more; one that holds something stays. @throws OutsideRoot */
export async function removeEmptyFolder(root: string, folder: string): Promise<void> {
  try {
    await rmdir(await bounded(root, folder));
  } catch (error) {
    if (!isMissing(error) && !['ENOTEMPTY', 'EEXIST'].includes(sqliteCode(error) ?? '')) throw error;
  }
}

/** Gives a file another name; what bore that one is replaced. Both lie in the root. @throws OutsideRoot */
export async function renameIn(root: string, from: string, to: string): Promise<void> {
  await rename(await bounded(root, from), await bounded(root, to));
}

/** The real place of a path, once it is sure that it lies in the root. */
async function bounded(root: string, path: string): Promise<string> {
  if (!liesIn(root, path)) throw new OutsideRoot(root, path);
  const place = placeOf(await realpath(dirname(path)), path);
  if (!liesIn(await realpath(root), place)) throw new OutsideRoot(root, path);
  return place;
}
