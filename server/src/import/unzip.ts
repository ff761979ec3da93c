import { unfit } from '../http/problem.ts';
import yauzl from 'yauzl';

export const JSON_NAME = 'studio.json';
const PHOTO_NAME = /^photos\/([0-9a-f]{64})\.jpg$/;
const MOST_JSON_BYTES = 500 * 1024 * 1024;
const MOST_PHOTO_BYTES = 60 * 1024 * 1024;
const MOST_ENTRIES = 100_000;

/** A zip whose parts are read one by one, so that its photos never lie in memory all at once. */
export interface Unzipped {
  readonly json: unknown;
  /** Hashes of the photos that are in it. */
  readonly hashes: ReadonlySet<string>;
  eachPhoto(work: (hash: string, image: Buffer) => Promise<void>): Promise<void>;
  close(): void;
}

/** @throws HttpProblem 422 when it is no zip, holds no studio, or holds something larger than it may */
export async function unzip(path: string): Promise<Unzipped> {
  const file = await open(path);
  const entries = await list(file);
  const json = entries.get(JSON_NAME);
  if (!json) {
    file.close();
    throw unfit('archive', 'There is no studio in this zip: choose one that was written here.');
  }
  const text = (await read(file, json, MOST_JSON_BYTES)).toString('utf8');
  const photos = [...entries].flatMap(([name, entry]) => {
    const hash = PHOTO_NAME.exec(name)?.[1];
    return hash ? [[hash, entry] as const] : [];
  });
  return {
    json: parse(text),
    hashes: new Set(photos.map(([hash]) => hash)),
    async eachPhoto(work) {
      for (const [hash, entry] of photos) await work(hash, await read(file, entry, MOST_PHOTO_BYTES));
    },
    close: () => file.close(),
  };
}

function open(path: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, file) => {
      if (error) reject(unfit('archive', 'This is no zip, or it is damaged: export it again.'));
      else resolve(file);
    });
  });
}

function list(file: yauzl.ZipFile): Promise<Map<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, yauzl.Entry>();
    file.on('entry', (entry: yauzl.Entry) => {
      entries.set(entry.fileName, entry);
      if (entries.size > MOST_ENTRIES) reject(unfit('archive', 'This zip holds too many files.'));
      else file.readEntry();
    });
    file.once('end', () => resolve(entries));
    file.once('error', () => reject(unfit('archive', 'This zip is damaged: export it again.')));
    file.readEntry();
  });
}

function read(file: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const broken = () =>
      reject(unfit('archive', `"${entry.fileName}" in the zip is damaged: export it again.`));
    if (entry.uncompressedSize > most) {
      reject(unfit('archive', `"${entry.fileName}" in the zip is larger than it may be.`));
      return;
    }
    file.openReadStream(entry, (error, stream) => {
      if (error) {
        broken();
        return;
      }
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.once('end', () => resolve(Buffer.concat(parts)));
      stream.once('error', broken);
    });
  });
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw unfit('archive', `${JSON_NAME} in the zip is damaged: export it again.`);
  }
}
