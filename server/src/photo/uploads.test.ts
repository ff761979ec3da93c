import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Piece } from '@icy-ribbon/contract';
import { sweepAbandoned } from '../folder/sweep.ts';
import { noisy } from '../testing/pictures.ts';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
});
afterEach(() => studio.close());

const TUS = { 'Tus-Resumable': '1.0.0' };
const asMetadata = (fields: Record<string, string>) =>
  Object.entries(fields)
    .map(([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`)
    .join(',');

/** Opens an upload; its address. */
async function begin(length: number, fields: Record<string, string> = {}): Promise<string> {
  const all = { id: randomUUID(), pieceId: piece.id, state: 'wet', ...fields };
  const { headers } = await studio.http
    .post('/api/uploads')
    .set({ ...TUS, 'Upload-Length': String(length), 'Upload-Metadata': asMetadata(all) })
    .expect(201);
  return headers.location!;
}

const send = (address: string, part: Buffer, offset: number) =>
  studio.http
    .patch(address)
    .set({ ...TUS, 'Upload-Offset': String(offset), 'Content-Type': 'application/offset+octet-stream' })
    .send(part);

const offsetAt = async (address: string) => {
  const { headers } = await studio.http.head(address).set(TUS).expect(200);
  return Number(headers['upload-offset']);
};

it('a photo that arrives in pieces is kept when the last one is there; in between it can be gone on with', async () => {
  const file = await noisy(300, 200).jpeg().toBuffer();
  const id = randomUUID();
  const address = await begin(file.length, { id, state: 'dry' });
  const half = Math.floor(file.length / 2);
  await send(address, file.subarray(0, half), 0).expect(204);
  expect(await offsetAt(address)).toBe(half);
  const { body } = await send(address, file.subarray(half), half).expect(200);
  expect(body).toMatchObject({ id, pieceId: piece.id, state: 'dry', widthPx: 300, original: null });
  const { body: whole } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect(whole.photos.map((photo: { id: string }) => photo.id)).toEqual([id]);
  // Nothing of it is left behind.
  expect(readdirSync(join(studio.folder, 'uploads'))).toEqual([]);
});

it('the same photo twice, as after an answer that was lost, is one photo', async () => {
  const file = await noisy(60, 40).jpeg().toBuffer();
  const id = randomUUID();
  for (let time = 0; time < 2; time += 1) {
    await send(await begin(file.length, { id }), file, 0).expect(200);
  }
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect(body.photos).toHaveLength(1);
});

it('a HEIC is taken, and the file as it came is kept where that was wished', async () => {
  const file = readFileSync(join(__dirname, 'fixtures/four-fields.heic'));
  const address = await begin(file.length, { keepOriginal: 'yes' });
  const { body } = await send(address, file, 0).expect(200);
  expect(body).toMatchObject({ widthPx: 240, heightPx: 160, original: 'heif' });
  const original = await studio.http.get(`/api/photos/${body.id}/original`).buffer(true).expect(200);
  expect(original.headers['content-disposition']).toBe(`attachment; filename=${body.id}.heic`);
  expect((original.body as Buffer).equals(file)).toBe(true);
  // What goes out holds the upright copy alone.
  const { body: document } = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
  expect(document.piece.photos[0]).toMatchObject({ id: body.id, original: null });
});

it('without that wish there is no original', async () => {
  const file = await noisy(60, 40).jpeg().toBuffer();
  const { body } = await send(await begin(file.length), file, 0).expect(200);
  await studio.http.get(`/api/photos/${body.id}/original`).expect(404);
  expect(existsSync(join(studio.folder, 'originals'))).toBe(false);
});

describe('what cannot be taken is said as everywhere else', () => {
  const refused = (fields: Record<string, string>, length = 100) =>
    studio.http.post('/api/uploads').set({
      ...TUS,
      'Upload-Length': String(length),
      'Upload-Metadata': asMetadata({ id: randomUUID(), pieceId: piece.id, state: 'wet', ...fields }),
    });

  it('before anything is sent: a piece that is not there, a state that is none, a file that is too large', async () => {
    const gone = await refused({ pieceId: randomUUID() }).expect(404);
    expect(JSON.parse(gone.text)).toMatchObject({ detail: expect.stringContaining('no such piece') });
    const state = await refused({ state: 'damp' });
    expect(state.status).toBe(422);
    expect(JSON.parse(state.text).errors[0]).toMatchObject({ path: 'state' });
    await refused({}, 50 * 1024 * 1024).expect(413);
  });

  it('at the end: what is no picture; nothing of it stays', async () => {
    const text = Buffer.from('not a picture');
    const { status, text: answer } = await send(await begin(text.length), text, 0);
    expect(status).toBe(422);
    expect(JSON.parse(answer)).toMatchObject({ detail: expect.stringContaining('no JPEG, PNG or HEIC') });
    expect(readdirSync(join(studio.folder, 'uploads'))).toEqual([]);
    const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
    expect(body.photos).toEqual([]);
  });
});

it('a photo that is sent as it is created is kept and answered', async () => {
  const file = await noisy(80, 60).jpeg().toBuffer();
  const id = randomUUID();
  const { body, headers } = await studio.http
    .post('/api/uploads')
    .set({
      ...TUS,
      'Upload-Length': String(file.length),
      'Upload-Metadata': asMetadata({ id, pieceId: piece.id, state: 'wet' }),
      'Content-Type': 'application/offset+octet-stream',
    })
    .send(file)
    .expect(200);
  expect(body).toMatchObject({ id, widthPx: 80 });
  expect(headers['access-control-allow-origin']).toBeUndefined();
  expect(readdirSync(join(studio.folder, 'uploads'))).toEqual([]);
});

it('names no other origin, and what is no upload is answered as not there', async () => {
  const address = await begin(1000);
  const { headers } = await studio.http.head(address).set(TUS).expect(200);
  expect(headers['access-control-allow-origin']).toBeUndefined();
  for (const wrong of [`${address}.json`, '/api/uploads/letter', `${address}/more`]) {
    await studio.http.delete(wrong).set(TUS).expect(404);
  }
  expect(readdirSync(join(studio.folder, 'uploads'))).toHaveLength(2);
  await studio.http.delete(address).set(TUS).expect(204);
  expect(readdirSync(join(studio.folder, 'uploads'))).toEqual([]);
});

it('parts that nobody goes on with leave after a week, and nothing else that lies there; until then they are counted', async () => {
  const address = await begin(1000);
  await send(address, Buffer.alloc(400), 0).expect(204);
  writeFileSync(join(studio.folder, 'uploads', 'letter.json'), '{}');
  const { body } = await studio.http.get('/api/safekeeping').expect(200);
  expect(body.partBytes).toBeGreaterThanOrEqual(400);
  const day = 86_400_000;
  await sweepAbandoned(studio.folder, new Date(Date.now() + 6 * day));
  expect(await offsetAt(address)).toBe(400);
  await sweepAbandoned(studio.folder, new Date(Date.now() + 8 * day));
  expect(readdirSync(join(studio.folder, 'uploads'))).toEqual(['letter.json']);
});
