import { createHash, randomUUID } from 'node:crypto';
import { request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { copyFileSync, readdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Archive, Photo, Piece } from '@icy-ribbon/contract';
import { openStudio, planCup, startPiece, weighInFully, type Studio, importedBy } from '../testing/studio.ts';
import { unzip } from '../import/unzip.ts';
import { binary } from '../testing/zips.ts';

jest.setTimeout(90_000);

let studio: Studio;
let other: Studio;
const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-zip-'));
beforeEach(async () => {
  [studio, other] = [await openStudio(), await openStudio()];
});
afterEach(async () => {
  await studio.close();
  await other.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const exported = async (from: Studio): Promise<Buffer> =>
  (
    await from.http
      .get('/api/archive.zip')
      .buffer(true)
      .parse(binary as never)
      .expect(200)
  ).body as Buffer;

async function contents(zip: Buffer): Promise<Archive> {
  const path = join(folder, `${Math.random()}.zip`);
  writeFileSync(path, zip);
  const found = await unzip(path);
  found.close();
  return found.json as Archive;
}

/** A piece with cups, a pour, a photo from the camera, and a judgement with a fault. */
async function fullPiece(): Promise<Piece> {
  const piece = await startPiece(studio);
  const cups = [];
  for (const [paint, role] of [
    ['White', 'base'],
    ['Deep blue', 'color'],
    ['Copper', 'color'],
  ] as const) {
    cups.push(await weighInFully(studio, await planCup(studio, piece, paint, 40_000, role)));
  }
  for (const [index, cup] of cups.entries()) {
    await studio.http
      .post(`/api/pieces/${piece.id}/events`)
      .send({
        id: `00000000-0000-4000-8000-00000000000${index}`,
        at: '2026-03-01T10:00:00Z',
        kind: 'layer',
        data: { cupId: cup.id, mg: 10_000 },
      })
      .expect(201);
  }
  await studio.http
    .post(`/api/pieces/${piece.id}/camera`)
    .send({ state: 'wet', megapixels: 0.3 })
    .expect(201);
  await studio.http
    .put(`/api/pieces/${piece.id}/judgement`)
    .send({
      version: 0,
      rating: 4,
      verdict: 'keep',
      hangingDeg: 90,
      faults: [{ id: '00000000-0000-4000-8000-000000000009', kind: 'mud', at: { x: 0.5, y: 0.2 }, note: '' }],
      cells: 2,
      lacing: null,
      petals: null,
      mud: null,
      cellSizeMm: null,
      tryNext: 'less water',
      note: '',
    })
    .expect(200);
  for (const [kind, data] of [
    ['decide', { what: 'crop', note: 'the left third' }],
    ['level', { acrossMmPerM: 1.5, downMmPerM: 0 }],
    ['coat', { kind: 'varnish', mg: 12_000, potId: null, note: '1 of 4' }],
    [
      'sketch',
      {
        ...{ sketchId: '00000000-0000-4000-8000-0000000000aa', name: 'First try', filmMm: 0.6, chosen: true },
        marks: [
          {
            ...{ id: '00000000-0000-4000-8000-0000000000ab', kind: 'stroke', widthMm: 20, onlyOn: null },
            ...{ materialId: '00000000-0000-4000-8000-0000000000ac', name: 'Rust', colorHex: '#aa4422' },
            points: [
              [10, 10],
              [20.5, 30],
            ],
          },
        ],
      },
    ],
    ['show', { name: 'Lichen and Brass', opensOn: '2026-05-03', hanging: 'wire' }],
  ] as const) {
    const event = { id: randomUUID(), at: '2026-03-09T10:00:00.000Z', kind, data };
    await studio.http.post(`/api/pieces/${piece.id}/care`).send(event).expect(201);
  }
  const { supportId } = piece.support;
  const origin = { pieceId: piece.id, how: 'crop', part: { x: 0, y: 0.1, width: 0.5, height: 0.5 } };
  await studio.http
    .post('/api/pieces')
    .send({ name: 'A part of it', technique: 'dutch', supportId, origin })
    .expect(201);
  await studio.http
    .post('/api/equipment')
    .send({ kind: 'shelf', name: 'Upper', depthMm: 400, slots: [{ id: 'l', name: 'left', widthMm: 700 }] })
    .expect(201);
  await studio.http
    .post('/api/views')
    .send({ name: 'Good ones', filter: { ratingFrom: 4 } })
    .expect(201);
  return piece;
}

it('everything goes out and into an empty studio, and out again equal', async () => {
  await fullPiece();
  const zip = await exported(studio);
  const job = await importedBy(other, other.http.post('/api/archive').attach('archive', zip, 'studio.zip'));
  expect(job.result?.studio?.pieces).toEqual({ added: 2, kept: 0 });
  expect(await contents(await exported(other))).toEqual(await contents(zip));
  const [photo] = (await contents(zip)).pieces[0]!.photos as [Photo];
  await other.http.get(`/api/photos/${photo.id}/image`).expect(200);
});

it('coming in twice changes nothing', async () => {
  await fullPiece();
  const zip = await exported(studio);
  const job = await importedBy(studio, studio.http.post('/api/archive').attach('archive', zip, 'studio.zip'));
  expect(job.result?.studio?.pieces).toEqual({ added: 0, kept: 2 });
  expect(await contents(await exported(studio))).toEqual(await contents(zip));
});

it.each([
  ['no zip at all', Buffer.from('hello'), /no zip/],
  ['an empty zip', Buffer.from('504b0506000000000000000000000000000000000000', 'hex'), /no studio/],
])('%s is refused with what to do', async (_what, file, words) => {
  const job = await importedBy(other, other.http.post('/api/archive').attach('archive', file, 'studio.zip'));
  expect(job.problem?.detail).toMatch(words);
});

it('a zip that was cut short brings nothing in', async () => {
  await fullPiece();
  const zip = await exported(studio);
  const cut = zip.subarray(0, zip.length - 400);
  const job = await importedBy(other, other.http.post('/api/archive').attach('archive', cut, 'studio.zip'));
  expect(job.state).toBe('refused');
  expect((await other.http.get('/api/pieces').expect(200)).body.total).toBe(0);
});

it('mixes and passes come as CSV, with units in the column names', async () => {
  await fullPiece();
  const { text } = await studio.http.get('/api/mixes.csv').expect(200);
  expect(text.split('\r\n')[0]).toMatch(
    /^piece,piece_id,cup,role,color,phase,viscosity_pa_s,stage,mixed_g,laid_g/,
  );
  expect(text.split('\r\n')).toHaveLength(4);
  await studio.http.get('/api/passes.csv').expect(200);
});

describe('a zip goes out whatever lies there', () => {
  const openHandles = () => readdirSync('/proc/self/fd').length;

  it('a photo whose file is missing is named in it, and it comes in again without', async () => {
    const piece = await fullPiece();
    const [photo] = ((await studio.http.get(`/api/pieces/${piece.id}`)).body as Piece).photos as [Photo];
    rmSync(join(studio.folder, 'photos', `${photo.hash}.jpg`));
    const zip = await exported(studio);
    const job = await importedBy(other, other.http.post('/api/archive').attach('archive', zip, 'studio.zip'));
    expect(job).toMatchObject({
      state: 'done',
      result: { studio: { pieces: { added: 2 }, photosMissing: 1 } },
    });
    await other.http.get(`/api/photos/${photo.id}/image`).expect(404);
    await other.http.get(`/api/pieces/${piece.id}`).expect(200);
    expect(studio.faults).toEqual([]);
  });

  it('many photos go out with one file open at a time, and a download that is broken off leaves none open', async () => {
    const piece = await fullPiece();
    const [photo] = ((await studio.http.get(`/api/pieces/${piece.id}`)).body as Piece).photos as [Photo];
    const from = join(studio.folder, 'photos', `${photo.hash}.jpg`);
    await studio.db.transaction().execute(async (trx) => {
      for (let index = 0; index < 400; index += 1) {
        const hash = createHash('sha256').update(String(index)).digest('hex');
        copyFileSync(from, join(studio.folder, 'photos', `${hash}.jpg`));
        const { measurement, standIn, ...row } = photo;
        void [measurement, standIn];
        await trx
          .insertInto('photo')
          .values({ ...row, id: randomUUID(), hash, standIn: 0, measurement: null, detail: null })
          .execute();
      }
    });
    const before = openHandles();
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, openHandles())), 1);
    await exported(studio);
    clearInterval(watch);
    expect(most).toBeLessThan(before + 20);
    const server = studio.served.app.listen(0);
    const { port } = server.address() as AddressInfo;
    for (let turn = 0; turn < 10; turn += 1) {
      await new Promise<void>((resolve) => {
        const sent = request(`http://127.0.0.1:${port}/api/archive.zip`, (response) => {
          response.once('data', () => {
            response.destroy();
            resolve();
          });
        });
        sent.once('error', () => resolve());
        sent.end();
      });
    }
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await eventually(() => expect(openHandles()).toBeLessThanOrEqual(before + 5));
    await eventually(() => expect(readdirSync(join(studio.folder, 'incoming'))).toEqual([]));
  }, 60_000);

  it('not for a page elsewhere', async () => {
    for (const path of ['/api/archive.zip', '/api/pieces.csv', '/api/pieces']) {
      await studio.http.get(path).set('Sec-Fetch-Site', 'cross-site').expect(403);
      await studio.http.get(path).set('Sec-Fetch-Site', 'same-site').expect(403);
    }
    await studio.http.get('/api/archive.zip').set('Sec-Fetch-Site', 'same-origin').expect(200);
  });
});

async function eventually(check: () => void): Promise<void> {
  for (let turn = 0; turn < 100; turn += 1) {
    try {
      check();
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  }
  check();
}
