import { randomUUID } from 'node:crypto';
import { open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Under a temporary name first and flushed, so that a file is there whole or not at all. */
export async function writeWhole(path: string, content: Uint8Array | string): Promise<void> {
  const temporary = `${path}.${randomUUID()}.part`;
  try {
    const file = await open(temporary, 'w');
    try {
      await file.writeFile(content);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(temporary, path);
  } catch (error) {
    await rm(temporary, { force: true });
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
