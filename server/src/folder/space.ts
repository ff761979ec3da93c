import { readdir, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';

/** Bytes that may still be written where a folder lies. */
export async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/** Bytes of the files that lie in a folder, folders in it included; 0 when it is not there. */
export async function bytesIn(folder: string): Promise<number> {
  const entries = await readdir(folder, { withFileTypes: true }).catch(() => []);
  let bytes = 0;
  for (const entry of entries) {
    const path = join(folder, entry.name);
    bytes += entry.isDirectory()
      ? await bytesIn(path)
      : ((await stat(path).catch(() => undefined))?.size ?? 0);
  }
  return bytes;
}
