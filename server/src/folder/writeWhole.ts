import { randomUUID } from 'node:crypto';
import { copyFile, open, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { removeIn, renameIn } from './remove.ts';

/** Under a temporary name first and flushed, so that a file is there whole or not at all. */
export function writeWhole(path: string, content: Uint8Array | string): Promise<void> {
  return putInPlace(path, (temporary) => writeFile(temporary, content));
}

/** The same, for nobody else's eyes. */
export function writeSecret(path: string, content: string): Promise<void> {
  return putInPlace(path, (temporary) => writeFile(temporary, content, { mode: 0o600 }));
}

/** A copy of a file, in the same way. */
export function copyFlushed(from: string, to: string): Promise<void> {
  return putInPlace(to, (temporary) => copyFile(from, temporary));
}

async function putInPlace(path: string, write: (temporary: string) => Promise<void>): Promise<void> {
  const temporary = `${path}.${randomUUID()}.part`;
  try {
    await write(temporary);
    const file = await open(temporary, 'r+');
    try {
      await file.sync();
    } finally {
      await file.close();
    }
    await renameIn(dirname(path), temporary, path);
  } catch (error) {
    await removeIn(dirname(path), temporary);
    throw error;
  }
  await flushFolder(dirname(path));
}

/** Makes the names in a folder last; where the system cannot, its own writing back must do. */
export async function flushFolder(path: string): Promise<void> {
  const folder = await open(path, 'r').catch(() => undefined);
  await folder?.sync().catch(() => undefined);
  await folder?.close();
}
