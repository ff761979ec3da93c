import { randomUUID } from 'node:crypto';
import { picturesOf, pieceDocumentSchema, type PieceDocument } from '@icy-ribbon/contract';

/** The same piece under new ids, references inside it following along. */
export function withFreshIds(document: PieceDocument): PieceDocument {
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
    ...piece.care.map((event) => event.id),
    ...picturesOf(piece).map((photo) => photo.id),
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
