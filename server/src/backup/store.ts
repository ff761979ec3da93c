import { constants, existsSync } from 'node:fs';
import { copyFile, link, mkdir, readdir, readFile, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { backupNameSchema, backupSchema, type Backup } from '@icy-ribbon/contract';
import { z } from 'zod';
import { sqliteCode } from '../db/fault.ts';
import { isPhotoName } from '../folder/names.ts';
import { removeIn, renameIn } from '../folder/remove.ts';
import { sha256Of } from '../folder/sha256.ts';
import { flushFolder, writeWhole } from '../folder/writeWhole.ts';

/** What is written beside a backup once it was checked; one without it is not there. */
const manifestSchema = backupSchema.omit({ isCopied: true, isOfOther: true }).extend({
  /** Of the database's file. */
  sha256: z.string(),
  hashes: z.array(z.string()),
  /** Photos whose files were missing already. */
  missing: z.array(z.string()),
});
export type Manifest = z.output<typeof manifestSchema>;

/** A folder of backups: each a database and what is said of it, and every photo of all of them once. */
export interface BackupStore {
  readonly folder: string;
  list(): Promise<Manifest[]>;
  find(name: string): Promise<Manifest | undefined>;
  databasePath(name: string): string;
  photoPath(fileName: string): string;
  /** Takes a database in that was written beside the others, and the photos that it speaks of. @throws Error when a copy differs */
  take(databasePath: string, manifest: Manifest, photosFrom: string): Promise<void>;
  /** Drops all but some backups, and the photos that only the dropped ones speak of. Nothing else that lies here is touched. */
  keepOnly(names: ReadonlySet<string>): Promise<void>;
}

/** A photo and its small picture. */
export const photoFileNames = (hash: string): string[] => [`${hash}.jpg`, `${hash}.thumbnail.jpg`];

/** Of the manifest of a backup that is on its way out. */
const LEAVING = '.leaving.json';

export function backupStore(folder: string): BackupStore {
  const photos = join(folder, 'photos');
  const databasePath = (name: string) => join(folder, `${name}.sqlite`);
  const manifestPath = (name: string) => join(folder, `${name}.json`);
  const leavingPath = (name: string) => join(folder, `${name}${LEAVING}`);

  async function read(path: string): Promise<Manifest | undefined> {
    const text = await readFile(path, 'utf8').catch(() => undefined);
    if (text === undefined) return undefined;
    try {
      const manifest = manifestSchema.parse(JSON.parse(text));
      return basename(path).startsWith(`${manifest.name}.`) ? manifest : undefined;
    } catch {
      return undefined;
    }
  }

  async function find(name: string): Promise<Manifest | undefined> {
    if (!backupNameSchema.safeParse(name).success) return undefined;
    return existsSync(databasePath(name)) ? read(manifestPath(name)) : undefined;
  }

  const namesWith = async (end: string): Promise<string[]> =>
    (await readdir(folder).catch(() => []))
      .filter((name) => name.endsWith(end))
      .map((name) => name.slice(0, -end.length));

  async function list(): Promise<Manifest[]> {
    const found = await Promise.all((await namesWith('.json')).map(find));
    return found.filter((each) => each !== undefined).sort((a, b) => (a.name < b.name ? 1 : -1));
  }

  return {
    folder,
    list,
    find,
    databasePath,
    photoPath: (fileName) => join(photos, fileName),
    async take(from, manifest, photosFrom) {
      await mkdir(photos, { recursive: true });
      for (const name of manifest.hashes.flatMap(photoFileNames))
        await linkOrCopy(join(photosFrom, name), join(photos, name));
      await renameIn(folder, from, databasePath(manifest.name));
      await flushFolder(folder);
      await writeWhole(manifestPath(manifest.name), JSON.stringify(manifest));
    },
    async keepOnly(names) {
      const all = await list();
      // Said to be leaving first: stopped in between, the next time goes on with it.
      for (const { name } of all.filter((each) => !names.has(each.name)))
        await renameIn(folder, manifestPath(name), leavingPath(name));
      const kept = all.filter(({ name }) => names.has(name));
      const wanted = new Set(kept.flatMap(({ hashes }) => hashes.flatMap(photoFileNames)));
      for (const name of await namesWith(LEAVING)) {
        const leaving = await read(leavingPath(name));
        if (!leaving || leaving.name !== name) continue;
        const theirs = leaving.hashes.flatMap(photoFileNames).filter(isPhotoName);
        for (const photo of theirs) if (!wanted.has(photo)) await removeIn(folder, join(photos, photo));
        await removeIn(folder, databasePath(name));
        await removeIn(folder, leavingPath(name));
      }
    },
  };
}

/** The same file under a second name where the disk can do that, else a copy that was held against it; one that is there already stays. */
async function linkOrCopy(from: string, to: string): Promise<boolean> {
  if (existsSync(to)) return true;
  if (!existsSync(from)) return false;
  try {
    await link(from, to);
  } catch (error) {
    if (sqliteCode(error) === 'EEXIST') return true;
    await copyWhole(from, to, await sha256Of(from));
  }
  return true;
}

/**
 * A copy that is there whole or not at all.
 *
 * @param sha256 of what is copied: read back from the copy, where it is given
 * @throws Error when the copy is another
 */
export async function copyWhole(from: string, to: string, sha256?: string): Promise<void> {
  const root = dirname(to);
  const temporary = `${to}.part`;
  try {
    await removeIn(root, temporary);
    // Never through a link that somebody laid there.
    await copyFile(from, temporary, constants.COPYFILE_EXCL);
    if (sha256 !== undefined && (await sha256Of(temporary)) !== sha256) {
      throw new Error(
        `The copy of ${basename(from)} came out different. Check the disk that it was copied to.`,
      );
    }
    await renameIn(root, temporary, to);
  } catch (error) {
    await removeIn(root, temporary);
    throw error;
  }
}

export const sizeOf = async (path: string): Promise<number> => (await stat(path)).size;

/** As the page shows it. */
export const shown = (
  { sha256, hashes, missing, ...rest }: Manifest,
  isCopied: boolean,
  isOfOther = false,
): Backup => {
  void [sha256, hashes, missing];
  return { ...rest, isCopied, isOfOther };
};
