import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { crc32 } from 'node:zlib';
import yauzl from 'yauzl';
import { storageFault } from '../db/fault.ts';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import type { HttpProblem } from '../http/problem.ts';
import { unfit } from '../http/problem.ts';
import { parseJson } from './json.ts';

export const JSON_NAME = 'studio.json';
export const MANIFEST_NAME = 'manifest.json';
const PHOTO_NAME = /^photos\/([0-9a-f]{64})\.jpg$/;
const MB = 1024 * 1024;
const MOST_JSON_BYTES = 250 * MB;
const MOST_MANIFEST_BYTES = 20 * MB;
const MOST_PHOTO_BYTES = 60 * MB;
const MOST_ENTRIES = 60_000;
/** Text of this kind is packed to a twentieth or so, photos hardly at all. */
const MOST_RATIO = 250;

/** A zip whose parts are read one by one, so that its photos never lie in memory all at once. */
export interface Unzipped {
  readonly json: unknown;
  /** Hashes of the photos that are in it. */
  readonly hashes: ReadonlySet<string>;
  /** Hashes of photos that were missing already where it was written, by its manifest. */
  readonly missing: ReadonlySet<string>;
  /** A photo as a file of its own for as long as some work takes. */
  withPhoto<Result>(
    hash: string,
    dataFolder: string,
    work: (path: string) => Promise<Result>,
  ): Promise<Result>;
  close(): void;
}

/**
 * Opens a studio's zip. What it would unpack to is bounded before anything is unpacked; checksums are held against
 * what comes out.
 *
 * @throws HttpProblem 422 when it is no zip, holds no studio, is damaged, or holds more than it may
 */
export async function unzip(path: string): Promise<Unzipped> {
  const { size } = await stat(path);
  const file = await open(path);
  try {
    const entries = await list(file, size);
    const json = entries.get(JSON_NAME);
    if (!json) throw unfit('archive', 'There is no studio in this zip: choose one that was written here.');
    const parsed = await readJson(file, json, MOST_JSON_BYTES);
    const manifest = entries.get(MANIFEST_NAME);
    const missing = new Set(manifest ? missingOf(await readJson(file, manifest, MOST_MANIFEST_BYTES)) : []);
    const photos = new Map(
      [...entries].flatMap(([name, entry]) => {
        const hash = PHOTO_NAME.exec(name)?.[1];
        return hash && !missing.has(hash) ? [[hash, entry] as const] : [];
      }),
    );
    return {
      json: parsed,
      hashes: new Set(photos.keys()),
      missing,
      async withPhoto(hash, dataFolder, work) {
        const { incoming } = folderOf(dataFolder);
        await mkdir(incoming, { recursive: true });
        const to = join(incoming, `${randomUUID()}.part`);
        try {
          await unpack(file, photos.get(hash)!, MOST_PHOTO_BYTES, createWriteStream(to));
          return await work(to);
        } finally {
          await removeIn(incoming, to);
        }
      },
      close: () => file.close(),
    };
  } catch (error) {
    file.close();
    throw error;
  }
}

function open(path: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, file) => {
      if (error) reject(unfit('archive', 'This is no zip, or it is damaged: export it again.'));
      else resolve(file);
    });
  });
}

/** The zip's parts by name; parts that lie over each other unpack to more than the zip could hold. */
function list(file: yauzl.ZipFile, zipBytes: number): Promise<Map<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const refuse = (message: string) => reject(unfit('archive', message));
    const entries = new Map<string, yauzl.Entry>();
    let packed = 0;
    file.on('entry', (entry: yauzl.Entry) => {
      packed += entry.compressedSize;
      if (entries.has(entry.fileName)) return refuse(`"${entry.fileName}" stands in this zip twice.`);
      if (packed > zipBytes) return refuse('This zip is damaged: its parts lie over each other.');
      if (entry.uncompressedSize > MOST_RATIO * Math.max(1000, entry.compressedSize)) {
        return refuse(`"${entry.fileName}" in this zip unpacks to far more than it should.`);
      }
      entries.set(entry.fileName, entry);
      if (entries.size > MOST_ENTRIES) return refuse('This zip holds too many files.');
      file.readEntry();
    });
    file.once('end', () => resolve(entries));
    file.once('error', () => refuse('This zip is damaged: export it again.'));
    file.readEntry();
  });
}

/** Unpacks one part, never more than it may be, and holds it against its checksum. */
async function unpack(
  file: yauzl.ZipFile,
  entry: yauzl.Entry,
  most: number,
  to: NodeJS.WritableStream,
): Promise<void> {
  if (entry.uncompressedSize > most) {
    throw unfit('archive', `"${entry.fileName}" in the zip is larger than it may be.`);
  }
  let [sum, bytes] = [0, 0];
  const watch = new Transform({
    transform(part: Buffer, _encoding, done) {
      bytes += part.length;
      sum = crc32(part, sum);
      done(bytes > most ? new Error('too large') : null, part);
    },
  });
  try {
    const stream = await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
      file.openReadStream(entry, (error, opened) => (error ? reject(error) : resolve(opened))),
    );
    await pipeline(stream, watch, to);
  } catch (error) {
    if (storageFault(error)) throw error;
    throw broken(entry);
  }
  if (sum !== entry.crc32) throw broken(entry);
}

const broken = (entry: yauzl.Entry): HttpProblem =>
  unfit('archive', `"${entry.fileName}" in the zip is damaged: export it again.`);

async function readJson(file: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<unknown> {
  const parts: Buffer[] = [];
  const gather = new Transform({
    transform(part: Buffer, _encoding, done) {
      parts.push(part);
      done();
    },
  });
  await unpack(file, entry, most, gather.resume());
  const value = parseJson(Buffer.concat(parts));
  if (value === undefined)
    throw unfit('archive', `${entry.fileName} in the zip is damaged: export it again.`);
  return value;
}

function missingOf(manifest: unknown): string[] {
  const missing = (manifest as { missing?: unknown } | null)?.missing;
  if (!Array.isArray(missing)) return [];
  return missing.flatMap((each: { hash?: unknown } | null) =>
    typeof each?.hash === 'string' ? [each.hash] : [],
  );
}
