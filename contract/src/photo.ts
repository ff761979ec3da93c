import { z } from 'zod';
import { idSchema, timestampSchema, versionSchema } from './common.ts';

export const PHOTO_STATES = ['wet', 'dry'] as const;

export const photoSchema = z.object({
  id: idSchema,
  pieceId: idSchema,
  version: versionSchema,
  state: z.enum(PHOTO_STATES),
  /** SHA-256 of the stored file, which is its name on disk. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  widthPx: z.int().min(1),
  heightPx: z.int().min(1),
  createdAt: timestampSchema,
  deletedAt: timestampSchema.nullable(),
});

/** The text fields beside the file of a multipart upload. */
export const photoUploadFields = z.object({
  id: idSchema.optional(),
  state: z.enum(PHOTO_STATES, 'Say whether the photo is wet or dry.'),
});

export type Photo = z.output<typeof photoSchema>;
export type PhotoState = (typeof PHOTO_STATES)[number];
