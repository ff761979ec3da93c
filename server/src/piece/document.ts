import { randomUUID } from 'node:crypto';
import {
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  pieceDocumentSchema,
  type ImportResult,
  type Material,
  type PhotoDetail,
  type Piece,
  type PieceDocument,
} from '@icy-ribbon/contract';
import type { Db } from '../db/open.ts';
import { found, type Reader, type Writer } from '../db/record.ts';
import { unfit } from '../http/problem.ts';
import { insertJudgement } from '../judgement/judgement.queries.ts';
import { findMaterial, insertMaterial } from '../material/material.queries.ts';
import { insertMix } from '../mix/mix.queries.ts';
import { describeImage } from '../photo/clean.ts';
import { hashOf, type PhotoFiles } from '../photo/files.ts';
import { findDetail, insertPhoto } from '../photo/photo.queries.ts';
import { insertPlan } from '../plan/plan.queries.ts';
import { insertEvent } from '../pour/pour.queries.ts';
import { insertReading } from '../reading/reading.queries.ts';
import { findSupport, insertSupport } from '../support/support.queries.ts';
import { findPiece, insertPieceRow } from './piece.queries.ts';

/** A piece, all it refers to and its photos as one document. */
export async function exportPiece(db: Reader, files: PhotoFiles, id: string): Promise<PieceDocument> {
  const piece = found(await findPiece(db, id), 'piece');
  const materialIds = new Set(
    piece.mixes.flatMap((mix) => mix.ingredients.map((each) => each.material.materialId)),
  );
  const materials: Material[] = [];
  for (const materialId of materialIds) {
    materials.push(found(await findMaterial(db, materialId), 'material'));
  }
  const photoFiles = [];
  for (const photo of piece.photos) {
    const image = await files.read(photo.hash);
    photoFiles.push({
      photoId: photo.id,
      mediaType: 'image/jpeg' as const,
      base64: image.toString('base64'),
      detail: (await findDetail(db, photo.id)) ?? null,
    });
  }
  return {
    format: DOCUMENT_FORMAT,
    formatVersion: DOCUMENT_VERSION,
    piece,
    materials,
    support: found(await findSupport(db, piece.support.supportId), 'support'),
    photoFiles,
  };
}

/**
 * Reads a piece back, all or nothing. Materials and supports that are here already are left as they
 * are; a piece that is here already comes in a second time as a copy with ids of its own.
 *
 * @throws HttpProblem 422 naming the part of the document that does not fit
 */
export async function importPiece(db: Db, files: PhotoFiles, given: PieceDocument): Promise<ImportResult> {
  requireWhole(given);
  const copied = (await findPiece(db, given.piece.id)) !== undefined;
  const document = copied ? withFreshIds(given) : given;
  const images = document.photoFiles.map((file) => Buffer.from(file.base64, 'base64'));
  await requireImages(document, images);
  for (const image of images) await files.write(image);
  await db.transaction().execute((trx) => insertDocument(trx, document));
  return { pieceId: document.piece.id, copied };
}

async function insertDocument(trx: Writer, document: PieceDocument): Promise<void> {
  const { piece, support } = document;
  if (!(await findSupport(trx, support.id))) await insertSupport(trx, support);
  for (const material of document.materials) {
    if (!(await findMaterial(trx, material.id))) await insertMaterial(trx, material);
  }
  const files = new Map(document.photoFiles.map((file) => [file.photoId, file]));
  await insertPiece(trx, piece, (photoId) => files.get(photoId)?.detail ?? null);
}

/** Writes a whole piece; its support and materials must be there. */
export async function insertPiece(
  trx: Writer,
  piece: Piece,
  detailOf: (photoId: string) => PhotoDetail | null,
): Promise<void> {
  await insertPieceRow(trx, piece);
  for (const mix of piece.mixes) await insertMix(trx, mix);
  for (const reading of piece.readings) await insertReading(trx, piece.id, reading);
  for (const event of piece.events) await insertEvent(trx, piece.id, event);
  for (const photo of piece.photos) await insertPhoto(trx, photo, detailOf(photo.id));
  if (piece.plan) await insertPlan(trx, piece.id, piece.plan);
  if (piece.judgement) await insertJudgement(trx, piece.id, piece.judgement);
}

/** Whatever the piece refers to must be in the document. */
function requireWhole({ piece, materials, support, photoFiles }: PieceDocument): void {
  if (support.id !== piece.support.supportId) {
    throw unfit('support', 'The support the piece was poured on is missing from the file.');
  }
  const known = new Set(materials.map((material) => material.id));
  const mixIds = new Set(piece.mixes.map((mix) => mix.id));
  for (const [index, mix] of piece.mixes.entries()) {
    if (mix.pieceId !== piece.id) throw unfit(`piece.mixes.${index}`, 'This cup is another piece’s.');
    if (mix.ingredients.some((each) => !known.has(each.material.materialId))) {
      throw unfit(`piece.mixes.${index}`, `A material of "${mix.name}" is missing from the file.`);
    }
  }
  for (const [index, reading] of piece.readings.entries()) {
    if (reading.mixId !== null && !mixIds.has(reading.mixId)) {
      throw unfit(`piece.readings.${index}`, 'A cup that was read is missing from the file.');
    }
  }
  for (const [index, event] of piece.events.entries()) {
    if (event.kind === 'layer' && !mixIds.has(event.data.mixId)) {
      throw unfit(`piece.events.${index}`, 'A cup that was poured is missing from the file.');
    }
  }
  for (const [index, photo] of piece.photos.entries()) {
    if (photo.pieceId !== piece.id || !photoFiles.some((file) => file.photoId === photo.id)) {
      throw unfit(`piece.photos.${index}`, 'A photo is missing from the file.');
    }
  }
}

async function requireImages(document: PieceDocument, images: readonly Buffer[]): Promise<void> {
  for (const [index, image] of images.entries()) {
    const photo = document.piece.photos.find((each) => each.id === document.photoFiles[index]?.photoId);
    const size = await describeImage(image);
    if (!size || (photo && hashOf(image) !== photo.hash)) {
      throw unfit(`photoFiles.${index}`, 'This photo is damaged: export the piece again.');
    }
  }
}

/** The same piece under new ids, references inside it following along. */
function withFreshIds(document: PieceDocument): PieceDocument {
  const { piece } = document;
  const own = [
    piece.id,
    ...piece.mixes.flatMap((mix) => [
      mix.id,
      ...mix.ingredients.map((each) => each.id),
      ...mix.additions.map((each) => each.id),
      ...mix.movements.map((each) => each.id),
    ]),
    ...piece.readings.flatMap(({ id, raceId }) => (raceId === null ? [id] : [id, raceId])),
    ...(piece.plan?.planned.map((cup) => cup.id) ?? []),
    ...piece.events.map((event) => event.id),
    ...piece.photos.map((photo) => photo.id),
    ...(piece.judgement?.faults.map((fault) => fault.id) ?? []),
  ];
  const fresh = new Map(own.map((id) => [id, randomUUID() as string]));
  const text = JSON.stringify({ ...document, photoFiles: [] });
  const renamed = text.replace(
    /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g,
    (id) => fresh.get(id) ?? id,
  );
  return {
    ...pieceDocumentSchema.parse(JSON.parse(renamed)),
    photoFiles: document.photoFiles.map((file) => ({
      ...file,
      photoId: fresh.get(file.photoId) ?? file.photoId,
    })),
  };
}
