import { randomUUID } from 'node:crypto';
import { MATERIAL_KINDS } from '@icy-ribbon/core/paint/material';
import { materialNamed, openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

it('a new shelf holds what every recipe needs', async () => {
  const { body } = await studio.http.get('/api/materials').query({ pageSize: 200 });
  const kinds = new Set(body.items.map((each: { kind: string }) => each.kind));
  for (const kind of [
    'artist-tube',
    'fluid',
    'wall-paint',
    'flow-conditioner',
    'cell-conditioner',
    'varnish',
    'water',
  ]) {
    expect(kinds).toContain(kind);
  }
});

it('what was not measured starts from the typical value of kind and pigment', async () => {
  const { body } = await studio.http
    .post('/api/materials')
    .send({ name: 'Snow', kind: 'student-tube', pigment: 'titanium-white', viscosityPaS: 28 })
    .expect(201);
  expect(body).toMatchObject({
    densityGPerMl: 1.45,
    densityTrust: 'typical',
    viscosityPaS: 28,
    viscosityTrust: 'measured',
    version: 1,
  });
});

it('sending the same new material twice puts it on the shelf once', async () => {
  const given = { id: randomUUID(), name: 'Moss', kind: 'fluid' };
  await studio.http.post('/api/materials').send(given).expect(201);
  await studio.http.post('/api/materials').send(given).expect(201);
  const { body } = await studio.http.get('/api/materials').query({ q: 'Moss' });
  expect(body.total).toBe(1);
});

it('an edit from an old version is refused with the material as it is now, and nothing is overwritten', async () => {
  const white = await materialNamed(studio, 'White');
  await studio.http.patch(`/api/materials/${white.id}`).send({ version: 1, name: 'Chalk' }).expect(200);
  const answer = await studio.http
    .patch(`/api/materials/${white.id}`)
    .send({ version: 1, name: 'Milk' })
    .expect(409);
  expect(answer.headers['content-type']).toMatch('application/problem+json');
  expect(answer.body).toMatchObject({ status: 409, current: { name: 'Chalk', version: 2 } });
});

it('deleting is soft and can be undone', async () => {
  const ochre = await materialNamed(studio, 'Ochre');
  const removed = await studio.http.delete(`/api/materials/${ochre.id}`).query({ version: 1 }).expect(200);
  expect(removed.body.deletedAt).not.toBeNull();
  expect(await materialNamed(studio, 'Ochre')).toBeUndefined();
  await studio.http.post(`/api/materials/${ochre.id}/restore`).send({ version: 2 }).expect(200);
  expect(await materialNamed(studio, 'Ochre')).toBeDefined();
});

it('field errors carry their paths', async () => {
  const answer = await studio.http
    .post('/api/materials')
    .send({ name: '', kind: 'tar', densityGPerMl: 90 })
    .expect(422);
  expect(answer.body.errors.map((each: { path: string }) => each.path).sort()).toEqual([
    'densityGPerMl',
    'kind',
    'name',
  ]);
});

it('a material that is not there is said to be gone', async () => {
  await studio.http.patch(`/api/materials/${randomUUID()}`).send({ version: 1, name: 'x' }).expect(404);
});

it('whatever kind it is of, what is put on the shelf is answered and listed', async () => {
  for (const { kind } of MATERIAL_KINDS) {
    const { body } = await studio.http
      .post('/api/materials')
      .send({ name: `A ${kind}`, kind, colorHex: '#888888' })
      .expect(201);
    expect([kind, (await materialNamed(studio, `A ${kind}`)).id]).toEqual([kind, body.id]);
  }
});
