import { createHash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { sha256Of } from '../folder/sha256.ts';
import { copyFlushed, writeWhole } from '../folder/writeWhole.ts';
import { cleanPhoto, kindOf, unpackedAt, type PictureKind } from './clean.ts';
import { unpackHeic, type Unpack } from './heic.ts';

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
  /** Keeps a file as it came from the camera, beside what was made of it. */
  keepOriginal(path: string, photoId: string): Promise<PictureKind>;
  originalPath(photoId: string, kind: PictureKind): string;
  /** Where files lie while they are looked at. */
  readonly incoming: string;
}

const ENDINGS: Readonly<Record<PictureKind, string>> = { jpeg: 'jpg', png: 'png', heif: 'heic' };

export const hashOf = (image: Uint8Array): string => createHash('sha256').update(image).digest('hex');

/** @param unpack reads HEIC; on this very thread when left out */
export function photoFiles(dataFolder: string, unpack: Unpack = unpackHeic): PhotoFiles {
  const { photos, originals, incoming } = folderOf(dataFolder);
  const originalPath = (photoId: string, kind: PictureKind) => join(originals, `${photoId}.${ENDINGS[kind]}`);
  const imagePath = (hash: string) => join(photos, `${hash}.jpg`);
  const thumbnailPath = (hash: string) => join(photos, `${hash}.thumbnail.jpg`);

  async function file(path: string): Promise<FiledPhoto> {
    await mkdir(incoming, { recursive: true });
    const to = join(incoming, `${randomUUID()}.part.clean.part`);
    try {
      const { path: clean, thumbnail, widthPx, heightPx } = await cleanPhoto(path, to, unpack);
      const hash = await sha256Of(clean);
      await mkdir(photos, { recursive: true });
      if (!existsSync(thumbnailPath(hash))) await writeWhole(thumbnailPath(hash), thumbnail);
      if (!existsSync(imagePath(hash))) await copyFlushed(clean, imagePath(hash));
      return { hash, widthPx, heightPx };
    } finally {
      await removeIn(incoming, to);
      await removeIn(incoming, unpackedAt(to));
    }
  }

  return {
    imagePath,
    thumbnailPath,
    incoming,
    has: (hash) => existsSync(imagePath(hash)),
    read: (hash) => readFile(imagePath(hash)),
    originalPath,
    async keepOriginal(path, photoId) {
      const kind = await kindOf(path);
      await mkdir(originals, { recursive: true });
      await copyFlushed(path, originalPath(photoId, kind));
      return kind;
    },
    async store(given) {
      if (typeof given === 'string') return file(given);
      await mkdir(incoming, { recursive: true });
      const path = join(incoming, `${randomUUID()}.part`);
      try {
        await writeFile(path, given);
        return await file(path);
      } finally {
        await removeIn(incoming, path);
      }
    },
  };
}
