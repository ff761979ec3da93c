import type { Equipment } from '@icy-ribbon/contract';
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

const list = async () => (await studio.http.get('/api/equipment').expect(200)).body.items as Equipment[];

it('a new shelf has the usual cups and a blower of each kind, its exit marked typical', async () => {
  const items = await list();
  expect(items.filter((each) => each.kind === 'vessel').map((each) => each.name)).toContain('Lidded cup 60');
  const blowers = items.filter((each) => each.kind === 'blower');
  expect(blowers.map((each) => each.tool).sort()).toEqual(AIR_TOOLS.map((each) => each.tool).sort());
  expect(blowers.every((each) => each.exitTrust === 'typical')).toBe(true);
});

it('a cup is entered with its weight, changed, taken off and brought back', async () => {
  const jar = { kind: 'vessel', name: 'Jar', capacityMl: 250, tareMg: 9_500 };
  const { body } = await studio.http.post('/api/equipment').send(jar).expect(201);
  await studio.http
    .put(`/api/equipment/${body.id}`)
    .send({ ...jar, tareMg: 9_450, version: 1 })
    .expect(200);
  await studio.http
    .put(`/api/equipment/${body.id}`)
    .send({ ...jar, version: 1 })
    .expect(409);
  await studio.http.delete(`/api/equipment/${body.id}`).query({ version: 2 }).expect(200);
  expect((await list()).some((each) => each.name === 'Jar')).toBe(false);
  const back = await studio.http.post(`/api/equipment/${body.id}/restore`).send({ version: 3 }).expect(200);
  expect(back.body).toMatchObject({ name: 'Jar', tareMg: 9_450 });
});

it('says what a blower lacks', async () => {
  const blower = { kind: 'blower', name: 'Mine', tool: 'hair-dryer', exitDiameterMm: 0, exitSpeedMS: 18 };
  const answer = await studio.http.post('/api/equipment').send(blower).expect(422);
  expect(answer.body.errors.map((each: { path: string }) => each.path)).toEqual(
    expect.arrayContaining(['exitDiameterMm', 'exitTrust', 'baffle']),
  );
});
