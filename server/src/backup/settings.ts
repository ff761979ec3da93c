import { randomUUID } from 'node:crypto';
import { readFile, realpath, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { z } from 'zod';
import type { DataFolder } from '../folder/folder.ts';
import { writeWhole } from '../folder/writeWhole.ts';

/** What the artist chose for this folder; it lies beside the database, so that a restore leaves it as it is. */
const settingsSchema = z.object({
  secondFolder: z.string().nullable().default(null),
  /** Which studio this is, and where it was when that was settled: a copy of a data folder is another studio. */
  studio: z.object({ id: z.uuid(), at: z.string() }).nullable().default(null),
});
export type Settings = z.output<typeof settingsSchema>;

/** Settings that cannot be read are as if nothing had been chosen. */
export async function readSettings({ settings }: DataFolder): Promise<Settings> {
  const text = await readFile(settings, 'utf8').catch(() => '{}');
  try {
    return settingsSchema.parse(JSON.parse(text));
  } catch {
    return settingsSchema.parse({});
  }
}

export async function changeSettings(folder: DataFolder, changes: Partial<Settings>): Promise<void> {
  await writeWhole(folder.settings, JSON.stringify({ ...(await readSettings(folder)), ...changes }));
}

/** The id of the studio in a data folder, made when it is first asked for. */
export async function studioIdOf(folder: DataFolder): Promise<string> {
  // The name of a machine changes with its network; the number of a folder on its disk does not.
  const path = await realpath(dirname(folder.settings));
  const at = `${(await stat(path)).ino} ${path}`;
  const { studio } = await readSettings(folder);
  if (studio?.at === at) return studio.id;
  const made = { id: randomUUID(), at };
  await changeSettings(folder, { studio: made });
  return made.id;
}
