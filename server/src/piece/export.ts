import {
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  pieceDocumentSchema,
  type Material,
  type Photo,
  type PieceDocument,
} from '@icy-ribbon/contract';
import { found, type Reader } from '../db/record.ts';
import { findMaterial } from '../material/material.queries.ts';
import type { PhotoFiles } from '../photo/files.ts';
import { findDetail } from '../photo/photo.queries.ts';
import { SUPPORTS } from '../support/supports.ts';
import { findPiece } from './piece.queries.ts';
import { withoutDamaged } from './whole.ts';

/** A piece's document as JSON text. */
export async function exportText(db: Reader, files: PhotoFiles, id: string): Promise<string> {
  return JSON.stringify(pieceDocumentSchema.parse(await exportPiece(db, files, id)));
}

/** A piece, all it refers to and its photos as one document. */
export async function exportPiece(db: Reader, files: PhotoFiles, id: string): Promise<PieceDocument> {
  const { damaged, ...piece } = withoutDamaged(found(await findPiece(db, id), 'piece'));
  void damaged;
  const materialIds = new Set(
    piece.mixes.flatMap((mix) => mix.ingredients.map((each) => each.material.materialId)),
  );
  const materials: Material[] = [];
  for (const materialId of materialIds) {
    materials.push(found(await findMaterial(db, materialId), 'material'));
  }
  const photoFiles = [];
  // A photo whose file is gone would make a document that cannot be read in again.
  const filed = ({ hash }: Photo) => files.has(hash);
  // The camera's own file stays at home: it may tell of place and device.
  const photos = piece.photos.filter(filed).map((photo) => ({ ...photo, original: null }));
  const rehearsals = piece.rehearsals.filter(filed);
  for (const photo of [...photos, ...rehearsals]) {
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
    piece: { ...piece, photos, rehearsals },
    materials,
    support: found(await SUPPORTS.find(db, piece.support.supportId), 'support'),
    photoFiles,
  };
}
