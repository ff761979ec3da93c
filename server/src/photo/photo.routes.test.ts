import { createHash, randomUUID } from 'node:crypto';
import type { Piece } from '@icy-ribbon/contract';
import sharp from 'sharp';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
});
afterEach(() => studio.close());

const solid = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8090a0' } });

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

it.each([
  ['a text file', () => Promise.resolve(Buffer.from('not a picture')), /no JPEG, PNG or HEIC/],
  ['an unknown picture format', () => solid(20, 20).webp().toBuffer(), /no JPEG, PNG or HEIC/],
  [
    'a JPEG that was cut short',
    async () =>
      (
        await sharp(Buffer.from(Array.from({ length: 90_000 }, (_, i) => (i * 7919) % 256)), {
          raw: { width: 200, height: 150, channels: 3 },
        })
          .jpeg()
          .toBuffer()
      ).subarray(0, 9000),
    /damaged or incomplete/,
  ],
  [
    'a picture that would fill the memory',
    () => solid(9000, 8000).png({ compressionLevel: 9 }).toBuffer(),
    /60 million/,
  ],
])('%s is refused with what to do', async (_what, make, message) => {
  const answer = await send(await make()).expect(422);
  expect(answer.body.errors).toEqual([{ path: 'photo', message: expect.stringMatching(message) }]);
  expect(studio.faults).toEqual([]);
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
