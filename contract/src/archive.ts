import { z } from 'zod';
import { calibrationSchema } from './reading.ts';
import { equipmentSchema } from './equipment.ts';
import { materialSchema } from './material.ts';
import { idSchema } from './common.ts';
import { photoDetailSchema } from './photo.ts';
import { pieceSchema } from './piece.ts';
import { ownRecipeSchema } from './recipe.ts';
import { savedViewSchema } from './result.ts';
import { supportSchema } from './support.ts';

export const ARCHIVE_FORMAT = 'icy-ribbon/studio';
export const ARCHIVE_VERSION = 1;

/** studio.json of an archive: everything but the photos, which lie beside it as photos/<hash>.jpg. */
export const archiveSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT, 'This is no Icy Ribbon studio.'),
  formatVersion: z.literal(
    ARCHIVE_VERSION,
    'This studio was written by another version of Icy Ribbon: update it and try again.',
  ),
  materials: z.array(materialSchema),
  supports: z.array(supportSchema),
  equipment: z.array(equipmentSchema),
  recipes: z.array(ownRecipeSchema),
  calibrations: z.array(calibrationSchema),
  views: z.array(savedViewSchema),
  pieces: z.array(pieceSchema),
  details: z.array(z.object({ photoId: idSchema, detail: photoDetailSchema })),
});

const counted = z.object({ added: z.int(), kept: z.int() });

/** What came in, and what was here already and was left as it is. */
export const archiveResultSchema = z.object({
  materials: counted,
  supports: counted,
  equipment: counted,
  recipes: counted,
  calibrations: counted,
  views: counted,
  pieces: counted,
});

export type Archive = z.output<typeof archiveSchema>;
export type ArchiveResult = z.output<typeof archiveResultSchema>;
