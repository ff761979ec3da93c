import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  calibrationSchema,
  drillRunSchema,
  equipmentSchema,
  materialSchema,
  ownRecipeSchema,
  picturesOf,
  savedViewSchema,
  supportSchema,
  type Archive,
  type Piece,
} from '@icy-ribbon/contract';
import { CALIBRATIONS } from '../calibration/calibrations.ts';
import type { Db } from '../db/open.ts';
import { readable } from '../db/readable.ts';
import type { Reader } from '../db/record.ts';
import { DRILLS } from '../drill/drills.ts';
import { EQUIPMENT } from '../equipment/equipment.ts';
import { allMaterials } from '../material/material.queries.ts';
import { findDetail } from '../photo/photo.queries.ts';
import { readPieces } from '../piece/piece.queries.ts';
import { withoutDamaged } from '../piece/whole.ts';
import { RECIPES } from '../recipe/recipes.ts';
import { VIEWS } from '../result/views.ts';
import { SUPPORTS } from '../support/supports.ts';

const BATCH = 20;

export interface CollectedStudio {
  /** Every photo's hash, once. */
  readonly hashes: readonly string[];
  /** Records that cannot be read and were left out, as "kind id". */
  readonly damaged: readonly string[];
}

/**
 * Writes everything that is kept, photos' files aside, as one JSON file: what was deleted stays out, but for materials
 * and supports that pieces refer to. It is written piece by piece, as it was at one moment.
 */
export function collectStudio(db: Db, path: string): Promise<CollectedStudio> {
  return db.transaction().execute(async (trx) => {
    const hashes = new Set<string>();
    const damaged: string[] = [];
    await pipeline(Readable.from(textOf(trx, hashes, damaged)), createWriteStream(path));
    return { hashes: [...hashes], damaged };
  });
}

type Shelves = Omit<Archive, 'format' | 'formatVersion' | 'pieces' | 'details'>;

async function* textOf(db: Reader, hashes: Set<string>, damaged: string[]): AsyncGenerator<string> {
  const shelves: Shelves = {
    materials: readable(materialSchema, await allMaterials(db)),
    supports: readable(supportSchema, await SUPPORTS.all(db)),
    equipment: readable(equipmentSchema, await EQUIPMENT.list(db)),
    recipes: readable(ownRecipeSchema, await RECIPES.list(db)),
    calibrations: readable(calibrationSchema, await CALIBRATIONS.list(db)),
    drills: readable(drillRunSchema, await DRILLS.list(db)),
    views: readable(savedViewSchema, await VIEWS.list(db)),
  };
  const head = { format: ARCHIVE_FORMAT, formatVersion: ARCHIVE_VERSION, ...shelves };
  yield `${JSON.stringify(head).slice(0, -1)},"pieces":[`;
  const photoIds: string[] = [];
  let comma = '';
  for await (const piece of allPieces(db, damaged)) {
    for (const { id, hash } of picturesOf(piece)) {
      hashes.add(hash);
      photoIds.push(id);
    }
    yield comma + JSON.stringify(piece);
    comma = ',';
  }
  yield '],"details":[';
  comma = '';
  for (const photoId of photoIds) {
    const detail = await findDetail(db, photoId);
    if (!detail) continue;
    yield comma + JSON.stringify({ photoId, detail });
    comma = ',';
  }
  yield ']}';
}

async function* allPieces(db: Reader, damaged: string[]): AsyncGenerator<Piece> {
  const ids = await db
    .selectFrom('piece')
    .select('id')
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .orderBy('id')
    .execute();
  for (let from = 0; from < ids.length; from += BATCH) {
    const batch = ids.slice(from, from + BATCH).map(({ id }) => id);
    const read = new Map((await readPieces(db, batch)).map((piece) => [piece.id, piece]));
    for (const id of batch) {
      const { damaged: parts = [], ...piece } = withoutDamaged(read.get(id)!);
      damaged.push(...parts.map((part) => `${part.what} ${part.id}`));
      yield piece;
    }
  }
}
