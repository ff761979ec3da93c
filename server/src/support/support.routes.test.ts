import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

const board = { name: 'Board', shape: 'rectangle', widthMm: 500, heightMm: 700, sideDepthMm: 38 };

it('is entered, changed, taken off and brought back', async () => {
  const { body } = await studio.http.post('/api/supports').send(board).expect(201);
  const changed = await studio.http
    .patch(`/api/supports/${body.id}`)
    .send({ ...board, widthMm: 400, version: 1 })
    .expect(200);
  expect(changed.body).toMatchObject({ widthMm: 400, version: 2 });
  await studio.http.delete(`/api/supports/${body.id}`).query({ version: 1 }).expect(409);
  await studio.http.delete(`/api/supports/${body.id}`).query({ version: 2 }).expect(200);
  const list = await studio.http.get('/api/supports');
  expect(list.body.items.map((each: { name: string }) => each.name)).not.toContain('Board');
  await studio.http.post(`/api/supports/${body.id}/restore`).send({ version: 3 }).expect(200);
});

it('a piece keeps the support it was started on', async () => {
  const support = await studio.http.post('/api/supports').send(board).expect(201);
  const piece = await studio.http
    .post('/api/pieces')
    .send({ name: 'Tall', technique: 'dutch', supportId: support.body.id })
    .expect(201);
  await studio.http.patch(`/api/supports/${support.body.id}`).send({ ...board, widthMm: 100, version: 1 });
  const kept = await studio.http.get(`/api/pieces/${piece.body.id}`).expect(200);
  expect(kept.body.support).toMatchObject({ widthMm: 500, heightMm: 700 });
});

it('a round support needs one diameter', async () => {
  const answer = await studio.http
    .post('/api/supports')
    .send({ ...board, shape: 'round' })
    .expect(422);
  expect(answer.body.errors[0].path).toBe('heightMm');
});

it('a support says what it is, and a piece keeps that; one that does not say is a canvas', async () => {
  const tile = { ...board, name: 'Tile', kind: 'tile' };
  const { body } = await studio.http.post('/api/supports').send(tile).expect(201);
  const started = await studio.http
    .post('/api/pieces')
    .send({ name: 'On a tile', technique: 'lifted-cup', supportId: body.id })
    .expect(201);
  expect(started.body.support.kind).toBe('tile');
  const plain = await studio.http.post('/api/supports').send(board).expect(201);
  expect(plain.body.kind).toBe('canvas');
  await studio.http
    .post('/api/supports')
    .send({ ...board, kind: 'plate' })
    .expect(422);
});
