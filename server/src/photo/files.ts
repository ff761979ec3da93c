import { createHash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { folderOf } from '../folder/folder.ts';
import { sha256Of } from '../folder/sha256.ts';
import { copyFlushed, writeWhole } from '../folder/writeWhole.ts';
import { cleanPhoto } from './clean.ts';

/** A photo that has been cleaned and filed. */
export interface FiledPhoto {
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Photos beside the database, named by the SHA-256 of their content. */
export interface PhotoFiles {
  /**
   * Cleans a photo and files it.
   *
   * @param given its bytes, or the path of a file that nobody has looked at yet
   * @throws HttpProblem 422 when it cannot be taken
   */
  store(given: Uint8Array | string): Promise<FiledPhoto>;
  read(hash: string): Promise<Buffer>;
  has(hash: string): boolean;
  imagePath(hash: string): string;
  thumbnailPath(hash: string): string;
  /** Where files lie while they are looked at. */
  readonly incoming: string;
}

export const hashOf = (image: Uint8Array): string => createHash('sha256').update(image).digest('hex');

export function photoFiles(dataFolder: string): PhotoFiles {
  const { photos, incoming } = folderOf(dataFolder);
  const imagePath = (hash: string) => join(photos, `${hash}.jpg`);
  const thumbnailPath = (hash: string) => join(photos, `${hash}.thumbnail.jpg`);

  async function file(path: string): Promise<FiledPhoto> {
    const to = `${path}.clean.part`;
    try {
      const { path: clean, thumbnail, widthPx, heightPx } = await cleanPhoto(path, to);
      const hash = await sha256Of(clean);
      await mkdir(photos, { recursive: true });
      if (!existsSync(thumbnailPath(hash))) await writeWhole(thumbnailPath(hash), thumbnail);
      if (!existsSync(imagePath(hash))) await copyFlushed(clean, imagePath(hash));
      return { hash, widthPx, heightPx };
    } finally {
      await rm(to, { force: true });
    }
  }

  return {
    imagePath,
    thumbnailPath,
    incoming,
    has: (hash) => existsSync(imagePath(hash)),
    read: (hash) => readFile(imagePath(hash)),
    async store(given) {
      if (typeof given === 'string') return file(given);
      await mkdir(incoming, { recursive: true });
      const path = join(incoming, `${randomUUID()}.part`);
      try {
        await writeFile(path, given);
        return await file(path);
      } finally {
        await rm(path, { force: true });
      }
    },
  };
}
