import { randomUUID } from 'node:crypto';
import type { DrillRun } from '@icy-ribbon/contract';
import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => {
  studio = await openStudio();
});
afterEach(() => studio.close());

const played = {
  drill: 'mound',
  score: 75,
  answers: [{ shown: 1.1, said: 1.2 }],
  measures: { seconds: 48.5 },
};
const create = (body: object) => studio.http.post('/api/drills').send(body);
const list = async () =>
  ((await studio.http.get('/api/drills').expect(200)).body as { items: DrillRun[] }).items;

it('is kept with its answers and numbers, once however often it is sent', async () => {
  const body = { id: randomUUID(), ...played };
  await create(body).expect(201);
  const answer = await create(body).expect(201);
  expect(answer.body).toMatchObject({ ...played, version: 1 });
  expect(await list()).toHaveLength(1);
});

it('the newest comes first; one is taken away and brought back', async () => {
  await create(played).expect(201);
  await new Promise((later) => setTimeout(later, 5));
  const { body } = await create({ ...played, drill: 'breath', answers: [] }).expect(201);
  expect((await list()).map(({ drill }) => drill)).toEqual(['breath', 'mound']);
  const { id, version } = body as DrillRun;
  const gone = await studio.http.delete(`/api/drills/${id}`).query({ version }).expect(200);
  expect(await list()).toHaveLength(1);
  const back = { version: (gone.body as DrillRun).version };
  await studio.http.post(`/api/drills/${id}/restore`).send(back).expect(200);
  expect(await list()).toHaveLength(2);
});

it.each([
  [{ ...played, drill: 'juggling' }, 'drill'],
  [{ ...played, score: 101 }, 'score'],
  [{ ...played, answers: [{ shown: 0, said: 1 }] }, 'answers.0.shown'],
  [{ ...played, answers: Array.from({ length: 101 }, () => ({ shown: 1, said: 1 })) }, 'answers'],
  [{ ...played, measures: { seconds: 'long' } }, 'measures.seconds'],
])('a drill that does not fit is refused at %#', async (body, path) => {
  const answer = await create(body);
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.body.errors[0].path).toBe(path);
});
