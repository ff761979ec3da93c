import { z } from 'zod';
import { calibrationSchema } from './reading.ts';
import { drillRunSchema } from './drill.ts';
import { equipmentSchema } from './equipment.ts';
import { materialSchema } from './material.ts';
import { idSchema } from './common.ts';
import { MOST } from './plain/most.ts';
import { photoDetailSchema } from './photo.ts';
import { pieceSchema } from './piece.ts';
import { ownRecipeSchema } from './recipe.ts';
import { savedViewSchema } from './result.ts';
import { supportSchema } from './support.ts';

export const ARCHIVE_FORMAT = 'icy-ribbon/studio';
export const ARCHIVE_VERSION = 2;

/** studio.json of an archive: everything but the photos, which lie beside it as photos/<hash>.jpg. */
export const archiveSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT, 'This is no Icy Ribbon studio.'),
  formatVersion: z.literal(
    [1, ARCHIVE_VERSION],
    'This studio was written by another version of Icy Ribbon: update it and try again.',
  ),
  materials: z.array(materialSchema).max(MOST.materials),
  supports: z.array(supportSchema).max(MOST.supports),
  equipment: z.array(equipmentSchema).max(MOST.equipment),
  recipes: z.array(ownRecipeSchema).max(MOST.recipes),
  calibrations: z.array(calibrationSchema).max(MOST.calibrations),
  /** Studios written before there were drills have none. */
  drills: z.array(drillRunSchema).max(MOST.drills).default([]),
  views: z.array(savedViewSchema).max(MOST.views),
  pieces: z.array(pieceSchema).max(MOST.pieces),
  details: z.array(z.object({ photoId: idSchema, detail: photoDetailSchema })).max(5 * MOST.pieces),
});

const counted = z.object({ added: z.int(), kept: z.int() });

/** What came in, and what was here already and was left as it is. */
export const archiveResultSchema = z.object({
  materials: counted,
  supports: counted,
  equipment: counted,
  recipes: counted,
  calibrations: counted,
  drills: counted,
  views: counted,
  pieces: counted,
  /** Photos that were missing already where the zip was written. */
  photosMissing: z.int().min(0),
});

export type Archive = z.output<typeof archiveSchema>;
export type ArchiveResult = z.output<typeof archiveResultSchema>;
