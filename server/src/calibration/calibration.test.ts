import { randomUUID } from 'node:crypto';
import type { Calibration } from '@icy-ribbon/contract';
import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => {
  studio = await openStudio();
});
afterEach(() => studio.close());

const point = { liquid: { kind: 'glycerine', massFraction: 1, temperatureC: 20 }, seconds: 10 };
const create = (body: object) => studio.http.post('/api/calibrations').send(body);
const list = async () =>
  ((await studio.http.get('/api/calibrations').expect(200)).body as { items: Calibration[] }).items;

it('is kept with its readings and date, once however often it is sent', async () => {
  const body = { id: randomUUID(), kind: 'card', name: 'blue card', points: [point] };
  await create(body).expect(201);
  const answer = await create(body).expect(201);
  expect(answer.body).toMatchObject({ name: 'blue card', points: [point], version: 1 });
  expect(await list()).toHaveLength(1);
});

it('the newest comes first; one is taken away and brought back', async () => {
  await create({ kind: 'card', name: 'old', points: [point] }).expect(201);
  await new Promise((later) => setTimeout(later, 5));
  const { body } = await create({ kind: 'drain-cup', name: 'new', points: [point] }).expect(201);
  expect((await list()).map((each) => each.name)).toEqual(['new', 'old']);
  const { id, version } = body as Calibration;
  const gone = await studio.http.delete(`/api/calibrations/${id}`).query({ version }).expect(200);
  expect((await list()).map((each) => each.name)).toEqual(['old']);
  await studio.http
    .post(`/api/calibrations/${id}/restore`)
    .send({ version: (gone.body as Calibration).version })
    .expect(200);
  expect(await list()).toHaveLength(2);
});

it.each([
  [{ kind: 'card', name: 'x', points: [] }, 'points'],
  [{ kind: 'card', name: '', points: [point] }, 'name'],
  [{ kind: 'card', name: 'x', points: [{ ...point, seconds: 0 }] }, 'points.0.seconds'],
  [
    { kind: 'mound', name: 'x', points: [{ ...point, liquid: { ...point.liquid, massFraction: 2 } }] },
    'points.0.liquid.massFraction',
  ],
])('%j is refused at %s', async (body, path) => {
  const answer = await create(body);
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.body.errors[0].path).toBe(path);
});
