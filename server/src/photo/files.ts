import { createHash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, open, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { makeThumbnail } from './clean.ts';

/** Photos beside the database, named by the SHA-256 of their content. */
export interface PhotoFiles {
  write(image: Buffer): Promise<string>;
  read(hash: string): Promise<Buffer>;
  imagePath(hash: string): string;
  thumbnailPath(hash: string): string;
}

export const hashOf = (image: Buffer): string => createHash('sha256').update(image).digest('hex');

export function photoFiles(dataFolder: string): PhotoFiles {
  const folder = join(dataFolder, 'photos');
  const imagePath = (hash: string) => join(folder, `${hash}.jpg`);
  const thumbnailPath = (hash: string) => join(folder, `${hash}.thumbnail.jpg`);
  return {
    imagePath,
    thumbnailPath,
    read: (hash) => readFile(imagePath(hash)),
    async write(image) {
      const hash = hashOf(image);
      await mkdir(folder, { recursive: true });
      if (!existsSync(thumbnailPath(hash))) {
        await writeWhole(thumbnailPath(hash), await makeThumbnail(image));
      }
      if (!existsSync(imagePath(hash))) await writeWhole(imagePath(hash), image);
      return hash;
    },
  };
}

/** Under a temporary name first and flushed, so that a file is there whole or not at all. */
async function writeWhole(path: string, content: Buffer): Promise<void> {
  const temporary = `${path}.${randomUUID()}.part`;
  const file = await open(temporary, 'w');
  try {
    await file.writeFile(content);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(temporary, path);
}
