import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Archive, ImportJob, Mix, Piece } from '@icy-ribbon/contract';
import sharp from 'sharp';
import { BAD_PICTURES, solid } from '../testing/pictures.ts';
import { importedBy, openStudio, planCup, startPiece, weighInFully, type Studio } from '../testing/studio.ts';
import { binary, writeZip } from '../testing/zips.ts';
import { unzip } from './unzip.ts';

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-poison-'));
let studio: Studio;
let other: Studio;
let archive: Archive;
let piece: Piece;

beforeEach(async () => {
  studio = await openStudio();
  other = await openStudio();
  piece = await startPiece(studio);
  const mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
  await weighInFully(studio, await planCup(studio, piece, 'Ochre', 40_000));
  await read(mix, { kind: 'mound', seconds: 12, constant: { ln: -2, sdLn: 0.2 } });
  const race = { kind: 'race', by: 'time', value: 9, liquid: null, card: null };
  await read(mix, race, randomUUID());
  archive = await archiveOf(studio);
  piece = archive.pieces[0]!;
});
afterEach(async () => {
  await studio.close();
  await other.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function read(mix: Mix, measure: object, raceId: string | null = null): Promise<void> {
  const reading = { id: randomUUID(), cupId: mix.id, raceId, temperatureC: null, measure };
  await studio.http
    .post(`/api/pieces/${mix.pieceId}/readings`)
    .send({ readings: [reading] })
    .expect(201);
}

async function archiveOf(from: Studio): Promise<Archive> {
  const path = join(folder, `${randomUUID()}.zip`);
  const { body } = await from.http
    .get('/api/archive.zip')
    .buffer(true)
    .parse(binary as never)
    .expect(200);
  await import('node:fs/promises').then(({ writeFile }) => writeFile(path, body as Buffer));
  const zip = await unzip(path);
  zip.close();
  return zip.json as Archive;
}

async function sendIn(
  to: Studio,
  json: unknown,
  photos: Readonly<Record<string, Buffer>> = {},
): Promise<ImportJob> {
  const path = join(folder, `${randomUUID()}.zip`);
  await writeZip(path, { 'studio.json': JSON.stringify(json), ...photos });
  return importedBy(to, to.http.post('/api/archive').attach('archive', readFileSync(path), 'studio.zip'));
}

/** A copy with one value changed at a path like "pieces.0.version". */
function changed(path: string, value: unknown): Archive {
  const copy = structuredClone(archive);
  const steps = path.split('.');
  let at = copy as unknown as Record<string, unknown>;
  for (const step of steps.slice(0, -1)) at = at[step] as Record<string, unknown>;
  at[steps.at(-1)!] = value;
  return copy;
}

const isEmpty = async (of: Studio) =>
  expect((await of.http.get('/api/pieces').expect(200)).body.total).toBe(0);

it('what went out comes in', async () => {
  expect(await sendIn(other, archive)).toMatchObject({ state: 'done', problem: null });
  expect(await archiveOf(other)).toEqual(archive);
});

it.each([
  ['a spread of nothing', 'pieces.0.readings.0.measure.constant.sdLn', 0],
  ['a spread beyond all numbers', 'pieces.0.readings.0.measure.constant.sdLn', 1e308],
  ['a calibration beyond all numbers', 'pieces.0.readings.0.measure.constant.ln', 1e300],
  ['a race that took forever', 'pieces.0.readings.1.measure.value', 1e200],
  ['a viscosity of nothing', 'materials.0.viscosityPaS', 0],
  ['a bend beyond all numbers', 'pieces.0.mixes.0.ingredients.1.material.waterBend', { mean: 1e300, sd: 1 }],
  ['a version that cannot be counted on', 'pieces.0.version', Number.MAX_SAFE_INTEGER],
  ['a version that nobody reached', 'materials.0.version', 5_000_000],
  ['more than a ton in a cup', 'pieces.0.mixes.0.additions.0.mg', 2_000_000_000],
  ['a recipe of one million parts', 'pieces.0.mixes.0.recipe.name', 'x'.repeat(100_000)],
  ['a share above all', 'pieces.0.mixes.0.ingredients.0.share', 2],
])('%s is refused with its place, and nothing comes in', async (_what, path, value) => {
  const job = await sendIn(other, changed(path, value));
  expect(job.state).toBe('refused');
  expect(job.problem?.errors?.[0]?.path.startsWith(path.replace(/\.(mean|sd)$/, ''))).toBe(true);
  await isEmpty(other);
  expect(other.faults).toEqual([]);
});

it.each([
  [
    'an id twice',
    (copy: Archive) => (copy.pieces[0]!.mixes[1]!.id = copy.pieces[0]!.mixes[0]!.id),
    'pieces.0.mixes.1.id',
  ],
  ['a material twice', (copy: Archive) => (copy.materials[1]!.id = copy.materials[0]!.id), 'materials.1.id'],
  [
    'a cup of another piece',
    (copy: Archive) => (copy.pieces[0]!.mixes[0]!.pieceId = randomUUID()),
    'pieces.0.mixes.0.pieceId',
  ],
  [
    'an ingredient of another cup',
    (copy: Archive) =>
      (copy.pieces[0]!.mixes[0]!.additions[0]!.ingredientId = copy.pieces[0]!.mixes[1]!.ingredients[0]!.id),
    'pieces.0.mixes.0.additions.0.ingredientId',
  ],
  [
    'a cup that was read and is not there',
    (copy: Archive) => (copy.pieces[0]!.readings[0]!.cupId = randomUUID()),
    'pieces.0.readings.0.cupId',
  ],
  ['a support that is not there', (copy: Archive) => (copy.supports = []), 'pieces.0.support'],
  [
    'a detail of no photo',
    (copy: Archive) =>
      copy.details.push({
        photoId: randomUUID(),
        detail: { cells: [], masks: { widthPx: 1, heightPx: 1, net: [], mud: [], glare: [] } },
      }),
    'details.0.photoId',
  ],
])('%s is refused with its place', async (_what, spoil, path) => {
  const copy = structuredClone(archive);
  spoil(copy);
  const job = await sendIn(other, copy);
  expect(job.problem?.errors?.map((each) => each.path)).toContain(path);
  await isEmpty(other);
});

it('ids that another piece has here already are taken, and nothing of the file comes in', async () => {
  const copy = structuredClone(archive);
  copy.pieces[0]!.id = randomUUID();
  for (const mix of copy.pieces[0]!.mixes) mix.pieceId = copy.pieces[0]!.id;
  const job = await sendIn(studio, copy);
  expect(job.problem).toMatchObject({ status: 409, errors: [{ path: 'pieces.0.mixes.0.id' }] });
  expect((await studio.http.get('/api/pieces')).body.total).toBe(1);
});

describe('small files that would keep it busy', () => {
  it.each([
    [
      'a hundred thousand cups that are none',
      (): unknown =>
        changed(
          'pieces.0.mixes',
          Array.from({ length: 100_000 }, () => 0),
        ),
      'pieces.0.mixes',
    ],
    [
      'a million techniques',
      () => changed('recipes', [{ techniques: Array.from({ length: 100_000 }, () => 'dutch') }]),
      'recipes.0.techniques',
    ],
    [
      'two hundred thousand events',
      () =>
        changed(
          'pieces.0.events',
          Array.from({ length: 200_000 }, () => ({})),
        ),
      'pieces.0.events',
    ],
  ])('%s are refused before they are looked at', async (_what, make, path) => {
    const job = await sendIn(other, make());
    expect(job.problem?.errors).toEqual([{ path, message: expect.stringMatching(/At most/) }]);
  });

  it('no answer names more than fifty errors', async () => {
    const job = await sendIn(
      other,
      changed(
        'materials',
        Array.from({ length: 2000 }, () => ({})),
      ),
    );
    expect(job.problem?.errors).toHaveLength(50);
    expect(JSON.stringify(job).length).toBeLessThan(20_000);
  });

  it('one that is called off leaves nothing', async () => {
    const path = join(folder, `${randomUUID()}.zip`);
    await writeZip(path, { 'studio.json': JSON.stringify(archive) });
    const sent = await other.http
      .post('/api/archive')
      .attach('archive', readFileSync(path), 'studio.zip')
      .expect(202);
    const { id } = sent.body as ImportJob;
    await other.http.delete(`/api/imports/${id}`).expect(200);
    await other.served.jobs.idle();
    expect((await other.http.get(`/api/imports/${id}`)).body.state).toBe('cancelled');
    await isEmpty(other);
  });
});

describe('photos in a file', () => {
  const hashOf = (image: Buffer) => createHash('sha256').update(image).digest('hex');
  function withPhoto(image: Buffer): { json: Archive; photos: Record<string, Buffer> } {
    const hash = hashOf(image);
    const at = '2026-03-01T10:00:00.000Z';
    const photo = {
      ...{ id: randomUUID(), pieceId: piece.id, version: 1, state: 'wet' as const, hash },
      ...{ widthPx: 60, heightPx: 40, measurement: null, createdAt: at, deletedAt: null },
    };
    return { json: changed('pieces.0.photos', [photo]), photos: { [`photos/${hash}.jpg`]: image } };
  }

  it('are cleaned like any other: no place stays in them', async () => {
    const tagged = await solid(60, 40)
      .jpeg()
      .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .toBuffer();
    const { json, photos } = withPhoto(tagged);
    expect((await sendIn(other, json, photos)).state).toBe('done');
    const { body } = await other.http.get(`/api/pieces/${piece.id}`).expect(200);
    const [photo] = (body as Piece).photos;
    expect(photo!.hash).not.toBe(json.pieces[0]!.photos[0]!.hash);
    const image = await other.http.get(`/api/photos/${photo!.id}/image`).buffer(true).expect(200);
    expect((await sharp(image.body as Buffer).metadata()).exif).toBeUndefined();
    await other.http.get(`/api/photos/${photo!.id}/thumbnail`).expect(200);
  });

  it.each(BAD_PICTURES)('%s is refused there, too', async (_what, make) => {
    const { json, photos } = withPhoto(await make());
    expect(await sendIn(other, json, photos)).toMatchObject({ state: 'refused', problem: { status: 422 } });
    await isEmpty(other);
  });
});
