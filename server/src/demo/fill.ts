import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Material, PieceDocument } from '@icy-ribbon/contract';
import type { MaterialKind } from '@icy-ribbon/core/paint/material';
import { seededRandom, seededUuid } from '@icy-ribbon/core/base/random';
import SqliteFile from 'better-sqlite3';
import type { Db } from '../db/open.ts';
import type { Writer } from '../db/record.ts';
import { folderOf } from '../folder/folder.ts';
import { isPhotoName } from '../folder/names.ts';
import { removeIn, removeNamed } from '../folder/remove.ts';
import { createMaterial, shelfByKind } from '../material/material.queries.ts';
import { stockStarterShelf, UNCOUNTED } from '../material/starter.ts';
import type { PhotoFiles } from '../photo/files.ts';
import { SUPPORTS } from '../support/supports.ts';
import type { Support } from '@icy-ribbon/contract';
import type { Tasks } from '../task/threads.ts';
import { buildDemoPiece } from './build.ts';
import type { DemoTools } from './stock.ts';
import { fillCare } from './fillCare.ts';
import { demoPictures } from './pictures.ts';
import { SCENARIO } from './scenario.ts';
import {
  DEMO_MEDIA,
  DEMO_PAINTS,
  DEMO_STOCK_G,
  DEMO_SUPPORTS,
  type DemoPaintName,
  type DemoSupportName,
} from './shelf.ts';

const SEED = 20_260_301;

/**
 * Readies a new database: the starter shelf always, and the invented studio's pieces when nothing is there
 * yet.
 *
 * @param options.pictures folder of the photos of its pours
 */
export async function fillDemo(
  db: Db,
  files: PhotoFiles,
  tasks: Tasks,
  options: { now: Date; say: (line: string) => void; pictures: string },
): Promise<void> {
  await stockStarterShelf(db);
  const used = await db.selectFrom('piece').select('id').limit(1).executeTakeFirst();
  if (used) return;
  await markDemo(db, 'filling');
  options.say('Making the demo studio ...');
  const { take } = demoPictures(options.pictures);
  for (const document of await demoDocuments(db, options.now, take)) {
    await mkdir(files.incoming, { recursive: true });
    const path = join(files.incoming, `${randomUUID()}.part`);
    await writeFile(path, JSON.stringify(document));
    await tasks.run('readDocument', { path });
    await removeIn(files.incoming, path);
  }
  await fillCare(db, options.now);
  await markDemo(db, 'whole');
}

/** Puts what the demo needs on the shelf; @returns its pieces, oldest first */
export async function demoDocuments(
  db: Db,
  now: Date,
  photograph: DemoTools['photograph'],
): Promise<PieceDocument[]> {
  const random = seededRandom(SEED);
  const makeId = () => seededUuid(random);
  const stock = await db.transaction().execute((trx) => stockShelf(trx, makeId));
  const tools = { now, random, makeId, photograph };
  return Promise.all(
    SCENARIO.map((told) => buildDemoPiece(told, { ...stock, support: stock.supports[told.support] }, tools)),
  );
}

const DEMO_KEY = 'demo';

async function markDemo(db: Db, value: 'filling' | 'whole'): Promise<void> {
  await db
    .insertInto('studio')
    .values({ key: DEMO_KEY, value })
    .onConflict((conflict) => conflict.column('key').doUpdateSet({ value }))
    .execute();
}

/** A demo that was stopped while it was made is made anew from the start; nothing in it is anybody's. */
export async function discardHalfDemo(dataFolder: string): Promise<void> {
  const { database, photos } = folderOf(dataFolder);
  if (!existsSync(database) || !isHalf(database)) return;
  for (const end of ['', '-wal', '-shm']) await removeIn(dataFolder, `${database}${end}`);
  await removeNamed(dataFolder, photos, isPhotoName);
}

function isHalf(path: string): boolean {
  const file = new SqliteFile(path);
  try {
    const row = file.prepare(`SELECT value FROM studio WHERE key = ?`).get(DEMO_KEY);
    return (row as { value: string } | undefined)?.value === 'filling';
  } catch {
    // Of another form, or damaged: that is said when it is opened.
    return false;
  } finally {
    file.close();
  }
}

async function stockShelf(trx: Writer, makeId: () => string) {
  const paints = {} as Record<DemoPaintName, Material>;
  for (const name of Object.keys(DEMO_PAINTS) as DemoPaintName[]) {
    const { hex, ...paint } = DEMO_PAINTS[name];
    paints[name] = await createMaterial(trx, {
      ...paint,
      ...UNCOUNTED,
      priceCents: 790,
      packMg: 75_000,
      stockMg: (DEMO_STOCK_G[name] ?? 60) * 1000,
      id: makeId(),
      colorHex: hex,
      note: '',
    });
  }
  const shelf = await SUPPORTS.list(trx);
  const supports = {} as Record<DemoSupportName, Support>;
  for (const name of Object.keys(DEMO_SUPPORTS) as DemoSupportName[]) {
    const wanted = DEMO_SUPPORTS[name];
    supports[name] =
      shelf.find((support) => support.name === wanted.name) ??
      (await SUPPORTS.create(trx, { ...wanted, id: makeId() }));
  }
  const media = new Map<MaterialKind, Material>();
  const byKind = await shelfByKind(trx);
  for (const kind of DEMO_MEDIA) {
    const material = byKind.ofKind(kind);
    if (!material) continue;
    const priced = { priceCents: 1200, packMg: 1_000_000 };
    if (kind !== 'water')
      await trx.updateTable('material').set(priced).where('id', '=', material.id).execute();
    media.set(kind, { ...material, ...(kind !== 'water' && priced) });
  }
  return { paints, supports, media };
}
