import { z } from 'zod';
import { idSchema } from './common.ts';
import { materialSchema } from './material.ts';
import { MOST } from './plain/most.ts';
import { photoDetailSchema } from './photo.ts';
import { pieceSchema } from './piece.ts';
import { supportSchema } from './support.ts';

export const DOCUMENT_FORMAT = 'icy-ribbon/piece';
export const DOCUMENT_VERSION = 2;

const MOST_BASE64 = 80 * 1024 * 1024;

/** One piece and everything it refers to, photos included, as one JSON document. */
export const pieceDocumentSchema = z.object({
  format: z.literal(DOCUMENT_FORMAT, 'This is not an Icy Ribbon piece.'),
  formatVersion: z.literal(
    [1, DOCUMENT_VERSION],
    'This piece was written by another version of Icy Ribbon: update it and try again.',
  ),
  piece: pieceSchema,
  materials: z.array(materialSchema).max(MOST.cupsOfPiece * MOST.ingredientsOfCup),
  support: supportSchema,
  photoFiles: z
    .array(
      z.object({
        photoId: idSchema,
        mediaType: z.literal('image/jpeg'),
        base64: z.base64('The photo is damaged.').max(MOST_BASE64, 'The photo is larger than 60 MB.'),
        detail: photoDetailSchema.nullable().default(null),
      }),
    )
    .max(MOST.photosOfPiece + MOST.rehearsalsOfPiece),
});

export const importResultSchema = z.object({
  pieceId: idSchema,
  /** True when a piece with this id was here already, so that the import became a copy of its own. */
  copied: z.boolean(),
});

export type PieceDocument = z.output<typeof pieceDocumentSchema>;
export type ImportResult = z.output<typeof importResultSchema>;
