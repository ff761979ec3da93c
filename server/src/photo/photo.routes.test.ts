import { createHash, randomUUID } from 'node:crypto';
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Piece } from '@icy-ribbon/contract';
import sharp from 'sharp';
import { BAD_PICTURES, noisy, solid } from '../testing/pictures.ts';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
});
afterEach(() => studio.close());

const send = (file: Buffer, name = 'photo.jpg', fields: Record<string, string> = { state: 'wet' }) => {
  const call = studio.http.post(`/api/pieces/${piece.id}/photos`).attach('photo', file, name);
  for (const [key, value] of Object.entries(fields)) void call.field(key, value);
  return call;
};

const fetchImage = async (id: string, which = 'image') => {
  const { body } = await studio.http.get(`/api/photos/${id}/${which}`).buffer(true).expect(200);
  return body as Buffer;
};

it('a photo taken with the camera turned is stored upright', async () => {
  const sideways = await solid(300, 200).jpeg().withMetadata({ orientation: 6 }).toBuffer();
  const { body } = await send(sideways).expect(201);
  expect(body).toMatchObject({ widthPx: 200, heightPx: 300, state: 'wet' });
  const stored = await sharp(await fetchImage(body.id)).metadata();
  expect([stored.width, stored.height, stored.orientation]).toEqual([200, 300, undefined]);
});

it('the place a photo was taken is stripped', async () => {
  const tagged = await solid(60, 40)
    .jpeg()
    .withExif({
      IFD0: { Copyright: 'somebody' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .toBuffer();
  expect((await sharp(tagged).metadata()).exif).toBeDefined();
  const { body } = await send(tagged).expect(201);
  const stored = await fetchImage(body.id);
  expect((await sharp(stored).metadata()).exif).toBeUndefined();
  expect(stored.includes(Buffer.from('GPS'))).toBe(false);
  expect(createHash('sha256').update(stored).digest('hex')).toBe(body.hash);
});

it('a PNG is taken, and a thumbnail made', async () => {
  const { body } = await send(await solid(2000, 1000).png().toBuffer(), 'photo.png', { state: 'dry' }).expect(
    201,
  );
  const thumbnail = await sharp(await fetchImage(body.id, 'thumbnail')).metadata();
  expect([thumbnail.width, thumbnail.height, thumbnail.format]).toEqual([480, 240, 'jpeg']);
});

it.each(BAD_PICTURES)('%s is refused with what to do', async (_what, make, message) => {
  const answer = await send(await make()).expect(422);
  expect(answer.body.errors).toEqual([{ path: 'photo', message: expect.stringMatching(message) }]);
  expect(studio.faults).toEqual([]);
  expect(
    existsSync(join(studio.folder, 'incoming')) ? readdirSync(join(studio.folder, 'incoming')) : [],
  ).toEqual([]);
});

it('a JPEG that holds its picture and nothing else is kept to the byte', async () => {
  const plain = await noisy(120, 90).jpeg().toBuffer();
  const { body } = await send(plain).expect(201);
  expect((await fetchImage(body.id)).equals(plain)).toBe(true);
  const tail = Buffer.concat([plain, Buffer.from('PK and a second file behind its end')]);
  const { body: cleaned } = await send(tail).expect(201);
  expect((await fetchImage(cleaned.id)).includes(Buffer.from('second file'))).toBe(false);
});

it.each([
  ['without its profile', false],
  ['with its profile', true],
])('a picture in the four colors of print keeps its color, %s', async (_what, hasProfile) => {
  const inPrint = solid(40, 30, '#9c4a2c').toColorspace('cmyk');
  const print = await (hasProfile ? inPrint.withIccProfile('cmyk') : inPrint)
    .jpeg({ quality: 100 })
    .toBuffer();
  expect((await sharp(print).metadata()).space).toBe('cmyk');
  const { body } = await send(print).expect(201);
  const stored = sharp(await fetchImage(body.id));
  expect((await stored.metadata()).channels).toBe(3);
  const [red, green, blue] = (await stored.stats()).channels.map((channel) => channel.mean);
  // Printing inks cannot show it quite; taken for light, the inks would be off by hundreds.
  expect(Math.abs(red! - 0x9c) + Math.abs(green! - 0x4a) + Math.abs(blue! - 0x2c)).toBeLessThan(60);
});

it('three uploads of one photo at once are one photo, each answered alike', async () => {
  const file = await noisy(300, 200).png().toBuffer();
  const fields = { state: 'wet', id: randomUUID() };
  const answers = await Promise.all([1, 2, 3].map(() => send(file, 'a.png', fields)));
  expect(answers.map(({ status }) => status)).toEqual([201, 201, 201]);
  expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1);
  expect((await studio.http.get(`/api/pieces/${piece.id}`)).body.photos).toHaveLength(1);
  const other = await startPiece(studio);
  await studio.http
    .post(`/api/pieces/${other.id}/photos`)
    .field('id', fields.id)
    .field('state', 'wet')
    .attach('photo', file, 'a.png')
    .expect(409);
});

it('a photo whose file is gone says so, and no browser remembers that for long', async () => {
  const { body } = await send(await solid(20, 20).jpeg().toBuffer()).expect(201);
  const found = await studio.http.get(`/api/photos/${body.id}/image`).expect(200);
  expect(found.headers['cache-control']).toMatch(/immutable/);
  rmSync(join(studio.folder, 'photos', `${body.hash}.jpg`));
  const answer = await studio.http.get(`/api/photos/${body.id}/image`).expect(404);
  expect(answer.headers['cache-control']).toBe('no-store');
  expect(answer.body.detail).toMatch(/backup/);
  const nobody = await studio.http.get(`/api/photos/${randomUUID()}/image`).expect(404);
  expect(nobody.headers['cache-control']).toBe('no-store');
});

it('asks for the photo and its state', async () => {
  const none = await studio.http.post(`/api/pieces/${piece.id}/photos`).field('state', 'wet').expect(422);
  expect(none.body.errors[0].path).toBe('photo');
  const stateless = await send(await solid(20, 20).jpeg().toBuffer(), 'a.jpg', {}).expect(422);
  expect(stateless.body.errors[0].path).toBe('state');
});

it('an upload repeated with its id is one photo', async () => {
  const file = await solid(20, 20).jpeg().toBuffer();
  const fields = { state: 'wet', id: randomUUID() };
  await send(file, 'a.jpg', fields).expect(201);
  await send(file, 'a.jpg', fields).expect(201);
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`);
  expect(body.photos).toHaveLength(1);
});

it('is deleted softly and brought back', async () => {
  const { body } = await send(await solid(20, 20).jpeg().toBuffer()).expect(201);
  await studio.http.delete(`/api/photos/${body.id}`).query({ version: 1 }).expect(200);
  expect((await studio.http.get(`/api/pieces/${piece.id}`)).body.photos).toEqual([]);
  await studio.http.post(`/api/photos/${body.id}/restore`).send({ version: 1 }).expect(409);
  await studio.http.post(`/api/photos/${body.id}/restore`).send({ version: 2 }).expect(200);
  expect((await studio.http.get(`/api/pieces/${piece.id}`)).body.photos).toHaveLength(1);
});
