import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import {
  archiveSchema,
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  materialImportSchema,
  overfull,
  picturesOf,
  pieceDocumentSchema,
  type Archive,
  type ArchiveResult,
  type FieldError,
  type ImportResult,
  type Photo,
  type Piece,
} from '@icy-ribbon/contract';
import type { z } from 'zod';
import { write } from '../db/write.ts';
import { sha256Of } from '../folder/sha256.ts';
import { HttpProblem, invalid, unfit } from '../http/problem.ts';
import { insertMaterials, updateMaterial } from '../material/material.queries.ts';
import { hashOf, type FiledPhoto } from '../photo/files.ts';
import { findPiece } from '../piece/piece.queries.ts';
import type { Bench } from '../task/bench.ts';
import { checkStudio } from './check.ts';
import { withFreshIds } from './freshIds.ts';
import { parseJson } from './json.ts';
import { stageAndTakeOver } from './stage.ts';
import { unzip, type Unzipped } from './unzip.ts';

/** The path of a file that arrived. */
export interface ReadIn {
  readonly path: string;
  /** What an empty studio started with stays, even if nothing else is there. */
  readonly keepsShelf?: boolean;
}

const MOST_JSON_BYTES = 250 * 1024 * 1024;

/**
 * A whole studio from a zip.
 *
 * @throws HttpProblem 422 naming what does not fit and where; nothing was kept then
 */
export async function readArchive(bench: Bench, { path }: ReadIn): Promise<ArchiveResult> {
  bench.report({ phase: 'Reading', done: 0, total: 1 });
  const { archive, zip } = await opened(path);
  try {
    const { places, errors } = checkStudio(archive);
    refuse(errors);
    const wanted = new Map(
      archive.pieces.flatMap(({ photos }) => photos.map((photo) => [photo.hash, photo] as const)),
    );
    const absent = [...wanted.keys()].filter((hash) => !zip.hashes.has(hash));
    if (absent.some((hash) => !zip.missing.has(hash))) {
      throw unfit('archive', 'A photo is missing from the zip: export it again.');
    }
    const filed = new Map<string, FiledPhoto>();
    let done = 0;
    for (const hash of wanted.keys()) {
      bench.goOn();
      bench.report({ phase: 'Photos', done, total: wanted.size });
      done += 1;
      if (zip.hashes.has(hash)) {
        filed.set(hash, await zip.withPhoto(hash, bench.dataFolder, (file) => filePhoto(bench, file, hash)));
      }
    }
    const result = await stageAndTakeOver(bench, withFiled(archive, filed), places);
    return { ...result, photosMissing: absent.length };
  } finally {
    zip.close();
  }
}

/** A zip and its studio. What the studio was checked from is as large again, and is let go here. */
async function opened(path: string): Promise<{ archive: Archive; zip: Omit<Unzipped, 'json'> }> {
  const { json, ...zip } = await unzip(path);
  try {
    return { archive: fitting(archiveSchema, json), zip };
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function filePhoto(bench: Bench, path: string, hash: string): Promise<FiledPhoto> {
  const damaged = () =>
    unfit('archive', `The photo ${hash.slice(0, 12)}… in the zip is damaged: export it again.`);
  if ((await sha256Of(path)) !== hash) throw damaged();
  try {
    return await bench.files.store(path);
  } catch (error) {
    throw error instanceof HttpProblem ? unfit('archive', `A photo in the zip: ${error.message}`) : error;
  }
}

/** Photos go by what was filed: one that had to be cleaned has another hash now. */
function withFiled(archive: Archive, filed: ReadonlyMap<string, FiledPhoto>): Archive {
  const renamed = (photo: Photo): Photo => ({ ...photo, ...filed.get(photo.hash) });
  return {
    ...archive,
    pieces: archive.pieces.map((piece) => ({
      ...piece,
      photos: piece.photos.map(renamed),
      rehearsals: piece.rehearsals.map(renamed),
    })),
  };
}

/**
 * One piece from its JSON document. Materials and supports that are here already are left as they are; a piece that is
 * here already comes in a second time as a copy with ids of its own.
 *
 * @throws HttpProblem 422 naming the part of the document that does not fit
 */
export async function readDocument(
  bench: Bench,
  { path, keepsShelf = false }: ReadIn,
): Promise<ImportResult> {
  bench.report({ phase: 'Reading', done: 0, total: 1 });
  const given = fitting(pieceDocumentSchema, await readJson(path));
  const copied = (await findPiece(bench.db, given.piece.id)) !== undefined;
  const document = copied ? withFreshIds(given) : given;
  const { piece, materials, support, photoFiles } = document;
  const known = new Map(photoFiles.map((file, index) => [file.photoId, { ...file, index }]));
  const archive: Archive = {
    format: ARCHIVE_FORMAT,
    formatVersion: ARCHIVE_VERSION,
    ...{
      materials,
      supports: [support],
      equipment: [],
      recipes: [],
      calibrations: [],
      drills: [],
      views: [],
    },
    pieces: [piece],
    details: photoFiles.flatMap(({ photoId, detail }) => (detail ? [{ photoId, detail }] : [])),
  };
  const inDocument = (at: string) => at.replace(/^pieces\.0\b/, 'piece').replace(/^supports\.0\b/, 'support');
  const { places, errors } = checkStudio(archive);
  refuse(errors.map((error) => ({ ...error, path: inDocument(error.path) })));
  const filed = new Map<string, FiledPhoto>();
  const pictures = picturesOf(piece);
  for (const [index, photo] of pictures.entries()) {
    bench.goOn();
    bench.report({ phase: 'Photos', done: index, total: pictures.length });
    const file = known.get(photo.id);
    if (!file) throw unfit(placeOf(piece, index), 'A photo is missing from the file.');
    const image = Buffer.from(file.base64, 'base64');
    if (hashOf(image) !== photo.hash) {
      throw unfit(`photoFiles.${file.index}`, 'This photo is damaged: export the piece again.');
    }
    try {
      filed.set(photo.hash, await bench.files.store(image));
    } catch (error) {
      throw error instanceof HttpProblem ? unfit(`photoFiles.${file.index}`, error.message) : error;
    }
  }
  await stageAndTakeOver(bench, withFiled(archive, filed), places, inDocument, keepsShelf);
  return { pieceId: piece.id, copied };
}

/**
 * Many materials onto the shelf, and changes to what is there, all or none; new ones whose ids are there already are
 * left as they are.
 */
export async function readMaterials(
  bench: Bench,
  { path }: ReadIn,
): Promise<{ added: number; changed: number }> {
  bench.report({ phase: 'Reading', done: 0, total: 1 });
  const { materials, changes } = fitting(materialImportSchema, await readJson(path));
  bench.goOn();
  bench.report({ phase: 'Backing up', done: 0, total: 1 });
  await bench.beforeWriting();
  bench.report({ phase: 'Writing', done: 0, total: 1 });
  return bench.withWriter((db) =>
    write(db, async (trx) => {
      const added = await insertMaterials(trx, materials);
      for (const { id, ...change } of changes) await updateMaterial(trx, id, change);
      return { added, changed: changes.length };
    }),
  );
}

async function readJson(path: string): Promise<unknown> {
  const { size } = await stat(path);
  if (size > MOST_JSON_BYTES) throw unfit('file', 'The file is larger than 250 MB.');
  const parts: Buffer[] = [];
  for await (const part of createReadStream(path)) parts.push(part as Buffer);
  const value = parseJson(Buffer.concat(parts));
  if (value === undefined)
    throw new HttpProblem(
      'not-readable',
      'What was sent isn’t valid JSON, or lies deeper than anything written here: export it again.',
    );
  return value;
}

function fitting<Schema extends z.ZodType>(schema: Schema, value: unknown): z.output<Schema> {
  const tooMuch = overfull(schema, value);
  if (tooMuch) throw unfit(tooMuch.path, tooMuch.message);
  const checked = schema.safeParse(value);
  if (!checked.success) throw invalid(checked.error);
  return checked.data;
}

function refuse(errors: readonly FieldError[]): void {
  if (errors.length === 0) return;
  throw new HttpProblem('does-not-fit', errors[0]?.message ?? '', { errors });
}

/** Where a picture stands in a piece's document. */
const placeOf = ({ photos }: Piece, index: number): string =>
  index < photos.length ? `piece.photos.${index}` : `piece.rehearsals.${index - photos.length}`;
