import { readFile } from 'node:fs/promises';
import { z } from 'zod';
import type { DataFolder } from '../folder/folder.ts';
import { writeWhole } from '../folder/writeWhole.ts';

/** What the artist chose for this folder; it lies beside the database, so that a restore leaves it as it is. */
const settingsSchema = z.object({ secondFolder: z.string().nullable().default(null) });
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

export async function writeSettings({ settings }: DataFolder, given: Settings): Promise<void> {
  await writeWhole(settings, JSON.stringify(given));
}
