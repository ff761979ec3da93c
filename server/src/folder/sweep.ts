import { existsSync } from 'node:fs';
import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { folderOf } from './folder.ts';

/** Takes away what an interrupted start, upload or backup left half-written; nothing refers to it. */
export async function sweep(dataFolder: string): Promise<void> {
  const { photos, incoming, backups } = folderOf(dataFolder);
  await rm(incoming, { recursive: true, force: true });
  for (const folder of [photos, backups, join(backups, 'photos')]) {
    if (!existsSync(folder)) continue;
    const left = (await readdir(folder)).filter((name) => name.endsWith('.part') || name.includes('.part-'));
    for (const name of left) await rm(join(folder, name), { recursive: true, force: true });
  }
}
