import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pieceDocumentSchema, type Piece, type PieceSummary, type PourCells } from '@icy-ribbon/contract';
import { forecastError } from '@icy-ribbon/core/judgement/cells';
import { photoFiles } from '../photo/files.ts';
import { DEMO_FOLDER, openStudio, type Studio } from '../testing/studio.ts';
import { inPlaceTasks } from '../task/inPlace.ts';
import { fillDemo } from './fill.ts';
import { SCENARIO } from './scenario.ts';

let studio: Studio;
let pieces: PieceSummary[];
/** `npm test` makes one demo for all its tests; alone, this test makes its own. */
async function demoStudio(): Promise<Studio> {
  const made = process.env.ICY_RIBBON_TEST_DEMO;
  if (!made) return openStudio();
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-'));
  cpSync(made, folder, { recursive: true });
  return openStudio({}, folder);
}

beforeAll(async () => {
  studio = await demoStudio();
  const files = photoFiles(studio.folder);
  const options = { now: new Date(), say: () => undefined, pictures: DEMO_FOLDER };
  const tasks = inPlaceTasks(studio.db, studio.folder);
  await fillDemo(studio.db, files, tasks, options);
  await fillDemo(studio.db, files, tasks, options);
  pieces = (await studio.http.get('/api/pieces').query({ pageSize: 100 }).expect(200)).body
    .items as PieceSummary[];
}, 400_000);
afterAll(() => studio.close());

it('makes the studio once, with pieces of both families at every phase', () => {
  expect(pieces).toHaveLength(SCENARIO.length);
  expect(new Set(pieces.map((piece) => piece.technique))).toEqual(new Set(['dutch', 'bloom']));
  expect(new Set(pieces.map((piece) => piece.phase))).toEqual(
    new Set(['mixing', 'mixed', 'pouring', 'poured', 'judged']),
  );
});

it('every piece is one the API itself could have made', async () => {
  for (const piece of pieces) {
    const { body } = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
    expect(pieceDocumentSchema.safeParse(body).success).toBe(true);
  }
});

it('nothing was laid that was not mixed, and every photo can be seen', async () => {
  for (const piece of pieces) {
    for (const mix of piece.mixes) expect(mix.laidMg).toBeLessThanOrEqual(mix.actualMg);
    if (piece.photo) await studio.http.get(`/api/photos/${piece.photo.id}/thumbnail`).expect(200);
  }
});

it('in this world more activator shows more of it, and air that is steep and near digs to the support', async () => {
  const measured = async (name: string) => {
    const { id } = pieces.find((piece) => piece.name === name)!;
    const { body } = await studio.http.get(`/api/pieces/${id}`).expect(200);
    const { mixes, photos } = body as Piece;
    const activator = mixes.find(({ role }) => role === 'activator')!;
    return { of: photos[0]!.measurement!, activator: photos[0]!.measurement!.shares[activator.name]! };
  };
  const [little, usual, much] = await Promise.all(
    ['Small bloom 1', 'Small bloom 3', 'Small bloom 5'].map(measured),
  );
  expect(little!.activator).toBeLessThan(usual!.activator);
  expect(usual!.activator).toBeLessThan(much!.activator);
  const dug = await measured('Small bloom 8');
  expect(dug.of.cells.perCm2).toBeLessThan(0.3 * usual!.of.cells.perCm2);
});

it('its measured pours bring the forecast of cells nearer than the law alone, each left out in turn', async () => {
  const { items } = (await studio.http.get('/api/results/cells').expect(200)).body as {
    items: PourCells[];
  };
  const { n, lawLn, ownLn, inRange } = forecastError(items)!;
  expect(n).toBeGreaterThanOrEqual(15);
  expect(ownLn).toBeLessThan(0.6 * lawLn);
  expect(inRange).toBeGreaterThan(0.8);
});
