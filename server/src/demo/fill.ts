import type { Material } from '@icy-ribbon/contract';
import type { MaterialKind } from '@icy-ribbon/core/material';
import { seededRandom, seededUuid } from '@icy-ribbon/core/random';
import type { Db } from '../db/open.ts';
import type { Writer } from '../db/record.ts';
import { createMaterial, shelfByKind } from '../material/material.queries.ts';
import { stockStarterShelf, UNCOUNTED } from '../material/starter.ts';
import type { PhotoFiles } from '../photo/files.ts';
import { importPiece } from '../piece/document.ts';
import { createSupport, listSupports } from '../support/support.queries.ts';
import { buildDemoPiece } from './build.ts';
import { SCENARIO } from './scenario.ts';
import {
  DEMO_PAINTS,
  DEMO_STOCK_G,
  DEMO_SUPPORTS,
  type DemoPaintName,
  type DemoSupportName,
} from './shelf.ts';

const SEED = 20_260_301;
const PHOTO_MEGAPIXELS = 1.1;
const MEDIA: readonly MaterialKind[] = [
  'flow-conditioner',
  'cell-conditioner',
  'untinted-base',
  'varnish',
  'water',
];

/**
 * Readies a new database: the starter shelf always, and the invented studio's pieces when the demo is
 * wanted and nothing is there yet.
 */
export async function fillDemo(
  db: Db,
  files: PhotoFiles,
  options: { wanted: boolean; now: Date; say: (line: string) => void; megapixels?: number },
): Promise<void> {
  await stockStarterShelf(db);
  if (!options.wanted) return;
  const used = await db.selectFrom('piece').select('id').limit(1).executeTakeFirst();
  if (used) return;
  options.say('Making the demo studio (one to three minutes) ...');
  const random = seededRandom(SEED);
  const megapixels = options.megapixels ?? PHOTO_MEGAPIXELS;
  const makeId = () => seededUuid(random);
  const stock = await db.transaction().execute((trx) => stockShelf(trx, makeId));
  for (const told of SCENARIO) {
    const support = stock.supports[told.support];
    const document = await buildDemoPiece(
      told,
      { ...stock, support },
      { now: options.now, random, megapixels },
    );
    await importPiece(db, files, document);
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
  const { items: shelf } = await listSupports(trx, { page: 1, pageSize: 200 });
  const supports = {} as Record<DemoSupportName, Awaited<ReturnType<typeof createSupport>>>;
  for (const name of Object.keys(DEMO_SUPPORTS) as DemoSupportName[]) {
    const wanted = DEMO_SUPPORTS[name];
    supports[name] =
      shelf.find((support) => support.name === wanted.name) ??
      (await createSupport(trx, { ...wanted, id: makeId() }));
  }
  const media = new Map<MaterialKind, Material>();
  const byKind = await shelfByKind(trx);
  for (const kind of MEDIA) {
    const material = byKind.ofKind(kind);
    if (!material) continue;
    const priced = { priceCents: 1200, packMg: 1_000_000 };
    if (kind !== 'water')
      await trx.updateTable('material').set(priced).where('id', '=', material.id).execute();
    media.set(kind, { ...material, ...(kind !== 'water' && priced) });
  }
  return { paints, supports, media };
}
