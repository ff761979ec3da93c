import { existsSync } from 'node:fs';
import { copyFile, link, mkdir, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { backupNameSchema, backupSchema, type Backup } from '@icy-ribbon/contract';
import { z } from 'zod';
import { sqliteCode } from '../db/fault.ts';
import { flushFolder, writeWhole } from '../folder/writeWhole.ts';

/** What is written beside a backup once it was checked; one without it is not there. */
const manifestSchema = backupSchema.omit({ isCopied: true }).extend({
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
  /** Takes a database in that lies at a path, and the photos that it speaks of. */
  take(databasePath: string, manifest: Manifest, photosFrom: string): Promise<void>;
  /** Drops all but some backups, and photos that none of these speaks of. */
  keepOnly(names: ReadonlySet<string>): Promise<void>;
}

/** A photo and its small picture. */
export const photoFileNames = (hash: string): string[] => [`${hash}.jpg`, `${hash}.thumbnail.jpg`];

export function backupStore(folder: string): BackupStore {
  const photos = join(folder, 'photos');
  const databasePath = (name: string) => join(folder, `${name}.sqlite`);
  const manifestPath = (name: string) => join(folder, `${name}.json`);

  async function find(name: string): Promise<Manifest | undefined> {
    if (!backupNameSchema.safeParse(name).success) return undefined;
    const text = await readFile(manifestPath(name), 'utf8').catch(() => undefined);
    if (text === undefined || !existsSync(databasePath(name))) return undefined;
    try {
      return manifestSchema.parse(JSON.parse(text));
    } catch {
      return undefined;
    }
  }

  async function list(): Promise<Manifest[]> {
    const names = (await readdir(folder).catch(() => []))
      .filter((name) => name.endsWith('.json'))
      .map((name) => name.slice(0, -'.json'.length));
    const found = await Promise.all(names.map(find));
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
      await moveOrCopy(from, databasePath(manifest.name));
      await writeWhole(manifestPath(manifest.name), JSON.stringify(manifest));
    },
    async keepOnly(names) {
      const all = await list();
      for (const { name } of all.filter((each) => !names.has(each.name))) {
        await rm(manifestPath(name), { force: true });
        await rm(databasePath(name), { force: true });
      }
      const kept = all.filter(({ name }) => names.has(name));
      const wanted = new Set(kept.flatMap(({ hashes }) => hashes.flatMap(photoFileNames)));
      for (const name of await readdir(photos).catch(() => [])) {
        if (!wanted.has(name)) await rm(join(photos, name), { force: true });
      }
    },
  };
}

/** The same file under a second name where the disk can do that, else a copy; one that is there already stays. */
async function linkOrCopy(from: string, to: string): Promise<boolean> {
  if (existsSync(to)) return true;
  if (!existsSync(from)) return false;
  try {
    await link(from, to);
  } catch (error) {
    if (sqliteCode(error) === 'EEXIST') return true;
    await copyWhole(from, to);
  }
  return true;
}

async function moveOrCopy(from: string, to: string): Promise<void> {
  try {
    await rename(from, to);
  } catch (error) {
    if (sqliteCode(error) !== 'EXDEV') throw error;
    await copyWhole(from, to);
    await rm(from, { force: true });
  }
  await flushFolder(join(to, '..'));
}

/** A copy that is there whole or not at all. */
export async function copyWhole(from: string, to: string): Promise<void> {
  const temporary = `${to}.part`;
  try {
    await copyFile(from, temporary);
    await rename(temporary, to);
  } catch (error) {
    await rm(temporary, { force: true });
    throw error;
  }
}

export const sizeOf = async (path: string): Promise<number> => (await stat(path)).size;

/** As the page shows it. */
export const shown = ({ sha256, hashes, missing, ...rest }: Manifest, isCopied: boolean): Backup => {
  void [sha256, hashes, missing];
  return { ...rest, isCopied };
};
