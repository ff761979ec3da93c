import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  materialCreateSchema,
  pieceListQuery,
  type PieceListQuery,
  type PieceSummary,
  type PourNumbers,
} from '@icy-ribbon/contract';
import { findQuantity, madeTheDifference, trendOf } from '@icy-ribbon/core/judgement/compare';
import { matchColor } from '@icy-ribbon/core/paint/color';
import { materialKind } from '@icy-ribbon/core/paint/material';
import { learn } from '@icy-ribbon/core/thickness/learn';
import { suggestOrder } from '@icy-ribbon/core/piece/order';
import { matchSet } from '@icy-ribbon/core/thickness/match';
import { mixProperties, thin } from '@icy-ribbon/core/paint/mix';
import { thinMany } from '../../core/testing/simulatedArtist.ts';
import { seededRandom } from '@icy-ribbon/core/base/random';
import { stackForecast } from '@icy-ribbon/core/piece/stack';
import { openDatabase } from '../../server/src/db/open.ts';
import { timestamp } from '../../server/src/db/record.ts';
import { insertMaterials } from '../../server/src/material/material.queries.ts';
import { stockStarterShelf } from '../../server/src/material/starter.ts';
import { refreshFacts } from '../../server/src/piece/evaluate.ts';
import { listPieces } from '../../server/src/piece/list.ts';
import { csvLines } from '../../server/src/piece/csv.ts';
import { paintScene } from '../../server/src/testing/painter/paint.ts';
import { freshPhoto, measureKnown, missesOf } from '../acceptance/acceptance.ts';
import { listNumbers } from '../../server/src/result/numbers.queries.ts';
import { pagesTable } from '../pages/pages.ts';
import { measure, table } from './measure.ts';
import { filmTable } from './film.ts';
import { freshLayers, workOut } from './plan.ts';
import { cropsOf, dragged, madeUpPhoto } from './rack.ts';
import { fillWithPours } from './pours.ts';
import { cups, freshStack, readings, setCups } from './studio.ts';

const POURS = 10_000;
const CALLS = 10_000;
const ARTISTS = 2000;

const parts = (['flow-conditioner', 'artist-tube', 'water'] as const).map((kind, index) => ({
  massG: [30, 15, 11.25][index] ?? 0,
  viscosityPaS: materialKind(kind).viscosityPaS,
  densityGPerMl: materialKind(kind).densityGPerMl,
}));

/** Sixty paints spread over the color circle. */
const paints = Array.from({ length: 60 }, (_, index) => {
  const channel = (turn: number) =>
    Math.round(128 + 100 * Math.sin((index / 60) * 2 * Math.PI + turn))
      .toString(16)
      .padStart(2, '0');
  return { id: String(index), hex: `#${channel(0)}${channel(2.1)}${channel(4.2)}` };
});

const photo12 = madeUpPhoto();
const belief = learn(setCups, []);

const times = (count: number, work: () => unknown) => () => {
  for (let call = 0; call < count; call += 1) work();
};

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-bench-'));
const { db } = await openDatabase(folder, timestamp());
try {
  await stockStarterShelf(db);
  process.stdout.write(`Making ${POURS} pours ...\n`);
  await fillWithPours(db, POURS);
  const list =
    (changes: Partial<PieceListQuery> = {}) =>
    () =>
      listPieces(db, { ...pieceListQuery.parse({}), ...changes });
  const items = (await list({ pageSize: 200 })()).items.map((text) => JSON.parse(text) as PieceSummary);
  const startedAt = performance.now();
  await refreshFacts(db);
  process.stdout.write(
    `The numbers of ${POURS} pours worked out for the first time: ${((performance.now() - startedAt) / 1000).toFixed(1)} s\n`,
  );
  const numbers = (JSON.parse(await listNumbers(db, undefined)) as PourNumbers[]).map((pour) => pour.numbers);
  const importMany = (count: number) => () => {
    const table = Array.from({ length: count }, (_, row) => ({ name: `Row ${row}`, kind: 'fluid' }));
    const materials = table.map((row) => materialCreateSchema.parse(row));
    return db.transaction().execute((trx) => insertMaterials(trx, materials));
  };
  const scene = {
    seed: 1,
    style: 'dutch',
    netShare: 0.5,
    shape: 'rectangle',
    widthMm: 300,
    heightMm: 400,
    baseHex: '#26333f',
    activatorHex: '#e6e1d6',
    colorHexes: ['#9c4a2c', '#6f93a8', '#b08d3e', '#cfe3e2'],
    petals: 6,
    reach: 1,
    cellMedianMm: 2.5,
    cellsPerCm2: 2,
    lacingWidthMm: 0.5,
    mud: 0.02,
  } as const;
  const rows = [
    await measure(
      `mix properties, ${CALLS} times`,
      times(CALLS, () => mixProperties(parts)),
    ),
    await measure(
      `thinning advice, ${CALLS} times`,
      times(CALLS, () => thin(parts, 0.5, materialKind('water'))),
    ),
    await measure(`a page of 50 results of ${POURS} pours`, list()),
    await measure('the last page', list({ page: POURS / 50 })),
    await measure('searched for a number in the name', list({ q: 'Piece 19' })),
    await measure('searched for words of a note', list({ q: 'rim split' })),
    await measure('by tool and technique', list({ tool: 'straw', technique: 'bloom' })),
    await measure(
      'by stage, rating and dates, the best first',
      list({ stage: 'stacking', ratingFrom: 4, from: '2005-01-01', to: '2015-01-01', sort: 'rating' }),
    ),
    await measure(`the numbers of all ${POURS} pours, for the charts`, () => listNumbers(db, undefined)),
    await measure(`one effect against one cause, ${POURS} pours, the line and its interval`, () =>
      trendOf(
        numbers.flatMap(({ distanceMm, cellMm }) =>
          typeof distanceMm === 'number' && typeof cellMm === 'number' ? [{ x: distanceMm, y: cellMm }] : [],
        ),
      ),
    ),
    await measure(`what made the difference over ${POURS} pours`, () =>
      madeTheDifference(numbers, findQuantity('cellMm')!),
    ),
    await measure('200 results as CSV', () => csvLines('pieces', items)),
    await measure('a color matched from 60 paints', () => matchColor('#6b8f8a', paints, 6)),
    await measure('all interfaces of a stack of 8 layers forecast', () => stackForecast(freshStack())),
    await measure('the best order of 8 layers', () => suggestOrder('bloom', freshLayers())),
    await measure('amounts and check of 12 stacks and 60 passes', workOut),
    await measure('six cups matched onto one thickness', () => matchSet(belief, 'dutch', setCups)),
    await measure('1,000 readings of 60 materials learned from', () => learn(cups, readings)),
    await measure('drying, drift and resin of a piece, a thousand times', times(1000, dragged)),
    await measure('the best parts of a photo of 12 megapixels', () => cropsOf(photo12)),
    await measure('10,000 materials read in', importMany(10_000), 1),
    await measure('a picture painted, half a megapixel', () => paintScene(scene, 2)),
  ];
  process.stdout.write(`${table(rows)}\n`);
  process.stdout.write(filmTable());
  process.stdout.write(`${await pagesTable()}\n`);
  process.stdout.write(await acceptanceTable());
  for (const manner of ['advised', 'fixed 5 %'] as const) {
    const { meanAdditions, overshotShare, rmsOffLn } = thinMany(manner, ARTISTS, seededRandom(11));
    process.stdout.write(
      `${ARTISTS} simulated artists, ${manner}: ${meanAdditions.toFixed(2)} additions, ${(100 * overshotShare).toFixed(1)} % went too far, ${(100 * rmsOffLn).toFixed(0)} % off in the end\n`,
    );
  }
} finally {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
}

/** How far measuring lies from the truth on photos of our own that no threshold was set by. */
async function acceptanceTable(): Promise<string> {
  const set = [
    [401, 6, {}],
    [402, 6, {}],
    [403, 6, {}],
    [404, 12, {}],
    [405, 12, {}],
    [406, 2, {}],
    [407, 2, {}],
    [408, 6, { blurPx: 1.5 }],
    [409, 6, { light: 0.4 }],
    [411, 12, {}],
    [415, 2, {}],
  ] as const;
  const lines = ['Photos of our own: seed, megapixels, then how far off'];
  for (const [seed, megapixels, changes] of set) {
    const { photo, known } = await freshPhoto(seed, megapixels, { glare: 1, light: 0.12, ...changes });
    const start = performance.now();
    const misses = missesOf(measureKnown(photo, known), known);
    const words = Object.entries(misses).map(([name, value]) => `${name} ${value.toFixed(2)}`);
    const seconds = (performance.now() - start) / 1000;
    lines.push(
      `${seed} ${megapixels} ${JSON.stringify(changes)} ${seconds.toFixed(1)} s: ${words.join(', ')}`,
    );
  }
  return `${lines.join('\n')}\n`;
}
