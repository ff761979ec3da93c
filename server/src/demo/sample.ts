import { randomUUID } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { removeIn } from '../folder/remove.ts';
import { materialCreateSchema, type Material, type PieceDocument, type Support } from '@icy-ribbon/contract';
import { materialKind, type MaterialKind } from '@icy-ribbon/core/paint/material';
import { seededRandom } from '@icy-ribbon/core/base/random';
import type { Db } from '../db/open.ts';
import { newRecord, timestamp } from '../db/record.ts';
import { write } from '../db/write.ts';
import { materialOf } from '../material/material.queries.ts';
import { UNCOUNTED } from '../material/starter.ts';
import type { PhotoFiles } from '../photo/files.ts';
import { SUPPORTS } from '../support/supports.ts';
import type { Tasks } from '../task/threads.ts';
import { buildDemoPiece } from './build.ts';
import type { DemoTools } from './stock.ts';
import type { DemoPictures } from './pictures.ts';
import type { DemoPiece } from './scenario.ts';
import { DEMO_MEDIA, DEMO_PAINTS, DEMO_SUPPORTS, type DemoPaintName } from './shelf.ts';

/** What an empty studio may look through; everything in it is made up, and it says so. */
export const SAMPLE: DemoPiece = {
  name: 'A sample to look through',
  technique: 'bloom',
  support: 'small',
  startedDaysAgo: 9,
  until: 'judged',
  base: 'wall',
  colors: ['tide', 'ember', 'gilt'],
  activator: 'slate',
  waterShare: 1,
  passes: Array.from({ length: 6 }, (_, index) => ({
    tool: 'mouth',
    setting: 'steady',
    distanceMm: 110,
    slantDeg: 25,
    directionDeg: 60 * index,
    seconds: 2.5,
  })),
  layout: 'center-bloom',
  waitSeconds: 110,
  spin: { rpm: 30, seconds: 18 },
  torches: 1,
  twice: true,
  tryNext: 'The same with a little less activator.',
  note: 'A sample: its numbers and its photos are made up. Take it out again at Today.',
};

const KEY = 'sample';
const SEED = 20_260_917;

/** The sample and what came with it. */
interface Kept {
  readonly pieceId: string;
  readonly materialIds: readonly string[];
}

async function kept(db: Db): Promise<Kept | null> {
  const row = await db.selectFrom('studio').select('value').where('key', '=', KEY).executeTakeFirst();
  return row ? (JSON.parse(row.value) as Kept) : null;
}

/** The sample that is there and was not taken out; null when there is none. */
export async function sampleId(db: Db): Promise<string | null> {
  const sample = await kept(db);
  if (!sample) return null;
  const piece = await db
    .selectFrom('piece')
    .select('id')
    .where('id', '=', sample.pieceId)
    .where('deletedAt', 'is', null)
    .executeTakeFirst();
  return piece?.id ?? null;
}

/** Makes the sample, poured, photographed and measured; @returns its id, the one that is there where there is one */
export async function addSample(
  db: Db,
  files: PhotoFiles,
  tasks: Tasks,
  pictures: DemoPictures,
): Promise<string> {
  const there = await sampleId(db);
  if (there !== null) return there;
  const document = await sampleDocument(db, pictures.take);
  await mkdir(files.incoming, { recursive: true });
  const path = join(files.incoming, `${randomUUID()}.part`);
  await writeFile(path, JSON.stringify(document));
  try {
    await tasks.run('readDocument', { path, keepsShelf: true });
  } finally {
    await removeIn(files.incoming, path);
  }
  const value = JSON.stringify({
    pieceId: document.piece.id,
    materialIds: document.materials.filter(({ note }) => note === BROUGHT).map(({ id }) => id),
  } satisfies Kept);
  await write(db, (trx) =>
    trx
      .insertInto('studio')
      .values({ key: KEY, value })
      .onConflict((conflict) => conflict.column('key').doUpdateSet({ value }))
      .execute(),
  );
  return document.piece.id;
}

const BROUGHT = 'It came with the sample.';

/** The sample as a document. Its grams are always the same, as its photos are; its ids are not. */
export async function sampleDocument(db: Db, photograph: DemoTools['photograph']): Promise<PieceDocument> {
  const at = timestamp();
  const paint = (name: DemoPaintName): Material => {
    const { hex, ...like } = DEMO_PAINTS[name];
    const named = { ...like, name: `Sample ${like.name.toLowerCase()}` };
    return materialOf({ ...named, ...UNCOUNTED, id: randomUUID(), colorHex: hex, note: BROUGHT }, at);
  };
  const names = Object.keys(DEMO_PAINTS) as DemoPaintName[];
  const paints = Object.fromEntries(names.map((name) => [name, paint(name)])) as Record<
    DemoPaintName,
    Material
  >;
  // Media of its own too: what its made-up readings teach must not be believed of the artist's.
  const media = new Map(DEMO_MEDIA.map((kind) => [kind, medium(kind, randomUUID(), at)] as const));
  const wanted = DEMO_SUPPORTS[SAMPLE.support];
  const support = (await likeIt(db, wanted)) ?? { ...newRecord(randomUUID(), at), ...wanted };
  const document = await buildDemoPiece(
    SAMPLE,
    { paints, media, support },
    { now: new Date(), random: seededRandom(SEED), makeId: randomUUID, photograph },
  );
  const used = new Set(
    document.piece.mixes.flatMap(({ ingredients }) => ingredients.map(({ material }) => material.materialId)),
  );
  return { ...document, materials: document.materials.filter(({ id }) => used.has(id)) };
}

function medium(kind: MaterialKind, id: string, at: string): Material {
  const entered = materialCreateSchema.parse({
    name: `Sample ${materialKind(kind).label.toLowerCase()}`,
    kind,
  });
  return materialOf({ ...entered, id, colorHex: '#f4f4f0', note: BROUGHT }, at);
}

/** A support of the shelf that is just as large. */
async function likeIt(db: Db, wanted: Pick<Support, 'shape' | 'widthMm' | 'heightMm' | 'sideDepthMm'>) {
  const items = await SUPPORTS.list(db);
  return items.find(
    ({ shape, widthMm, heightMm, sideDepthMm }) =>
      shape === wanted.shape &&
      widthMm === wanted.widthMm &&
      heightMm === wanted.heightMm &&
      sideDepthMm === wanted.sideDepthMm,
  );
}

/** Takes the sample out again, with the paints that came with it and were put into no other cup. */
export async function removeSample(db: Db): Promise<void> {
  const sample = await kept(db);
  if (!sample) return;
  const deletedAt = timestamp();
  await write(db, async (trx) => {
    await trx.updateTable('piece').set({ deletedAt }).where('id', '=', sample.pieceId).execute();
    if (sample.materialIds.length > 0) {
      await trx
        .updateTable('material')
        .set({ deletedAt })
        .where('id', 'in', sample.materialIds)
        .where('id', 'not in', (inner) =>
          inner
            .selectFrom('mixIngredient')
            .innerJoin('mix', 'mix.id', 'mixIngredient.cupId')
            .where('mix.pieceId', '<>', sample.pieceId)
            .select('mixIngredient.materialId'),
        )
        .execute();
    }
    await trx.deleteFrom('studio').where('key', '=', KEY).execute();
  });
}
