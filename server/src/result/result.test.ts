import { randomUUID } from 'node:crypto';
import type { Piece } from '@icy-ribbon/contract';
import { openStudio, planCup, startPiece, weighInFully, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let cupId: string;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  const mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
  cupId = mix.id;
});
afterEach(() => studio.close());

const log = (kind: string, data: object, at = '2026-03-01T10:00:00Z') =>
  studio.http.post(`/api/pieces/${piece.id}/events`).send({ id: randomUUID(), at, kind, data }).expect(201);
const breath = {
  tool: 'mouth',
  setting: 'steady',
  distanceMm: 100,
  slantDeg: 25,
  directionDeg: 90,
  seconds: 3,
  from: null,
};
const found = async (query: object) =>
  (await studio.http.get('/api/pieces').query(query).expect(200)).body.total as number;
const numbers = async () =>
  (await studio.http.get('/api/results/numbers').expect(200)).body.items as {
    numbers: Record<string, number>;
  }[];

it('a pour becomes numbers, and they follow what is logged later', async () => {
  expect(await numbers()).toEqual([]);
  await log('layer', { cupId, mg: 20_000 });
  await log('pass', breath);
  expect(await numbers()).toMatchObject([
    { tool: 'mouth', photo: null, support: { widthMm: 250 }, numbers: { distanceMm: 100, passCount: 1 } },
  ]);
  await log('pass', { ...breath, distanceMm: 200 });
  expect((await numbers())[0]?.numbers).toMatchObject({ distanceMm: expect.closeTo(150, 9), passCount: 2 });
});

it('how long a piece dries is forecast, and what it really took stands beside it', async () => {
  const found = (touchDryAt: string | null, version: number) =>
    studio.http.patch(`/api/pieces/${piece.id}`).send({ version, touchDryAt });
  const early = await found('2026-03-03T10:00:00.000Z', 1).expect(422);
  expect(early.body.errors[0].field ?? early.body.errors[0].path).toContain('touchDryAt');
  await log('layer', { cupId, mg: 20_000 });
  expect((await numbers())[0]?.numbers).toMatchObject({
    dryForecastHours: expect.any(Number),
    dryHours: null,
  });
  await found('2026-02-28T10:00:00.000Z', 1).expect(422);
  await found('2026-03-03T10:00:00.000Z', 1).expect(200);
  expect((await numbers())[0]?.numbers.dryHours).toBeCloseTo(48, 9);
  const { items } = (await studio.http.get('/api/pieces').expect(200)).body;
  expect(items[0].drying.low).toBeLessThan(items[0].drying.high);
  await found(null, 2).expect(200);
  expect((await numbers())[0]?.numbers.dryHours).toBeNull();
});

it('is narrowed by tool, color, stage, rating and date', async () => {
  await log('layer', { cupId, mg: 20_000 });
  await log('pass', breath);
  await studio.http
    .put(`/api/pieces/${piece.id}/judgement`)
    .send({
      version: 0,
      rating: 3,
      cells: null,
      lacing: null,
      petals: null,
      mud: null,
      cellSizeMm: null,
      tryNext: 'mangrove',
      note: '',
    })
    .expect(200);
  const whole = (await studio.http.get(`/api/pieces/${piece.id}`).expect(200)).body as Piece;
  const materialId = whole.mixes[0]!.ingredients.find((each) => each.role === 'paint')!.material.materialId;
  for (const [given, count] of [
    [{ tool: 'mouth' }, 1],
    [{ tool: 'straw' }, 0],
    [{ materialId }, 1],
    [{ materialId: randomUUID() }, 0],
    [{ stage: 'fading' }, 1],
    [{ stage: 'stacking' }, 0],
    [{ ratingFrom: 3 }, 1],
    [{ ratingFrom: 4 }, 0],
    [{ from: '2026-03-01', to: '2026-03-01' }, 1],
    [{ from: '2026-03-02' }, 0],
    [{ q: 'mangr' }, 1],
    [{ q: 'deep mangrove' }, 1],
    [{ q: 'mangrove swamp' }, 0],
    [{ q: '"unclosed AND (' }, 0],
  ] as const) {
    expect([given, await found(given)]).toEqual([given, count]);
  }
  await studio.http.get('/api/pieces').query({ from: 'yesterday' }).expect(422);
});

it('a pass that was taken back no longer counts for its tool', async () => {
  const id = randomUUID();
  await studio.http
    .post(`/api/pieces/${piece.id}/events`)
    .send({ id, at: '2026-03-01T10:00:00Z', kind: 'pass', data: breath })
    .expect(201);
  expect(await found({ tool: 'mouth' })).toBe(1);
  await log('void', { eventId: id });
  expect(await found({ tool: 'mouth' })).toBe(0);
});

it('a pass that was corrected counts for the tool it is now', async () => {
  const id = randomUUID();
  const send = (body: object) =>
    studio.http
      .post(`/api/pieces/${piece.id}/events`)
      .send({ at: '2026-03-01T10:00:00Z', kind: 'pass', ...body })
      .expect(201);
  await send({ id, data: breath });
  await send({ id: randomUUID(), insteadOf: id, data: { ...breath, tool: 'straw', setting: 'soft' } });
  expect(await found({ tool: 'mouth' })).toBe(0);
  expect(await found({ tool: 'straw' })).toBe(1);
});

it('words of notes in the log are found', async () => {
  await log('note', { text: 'the rim looked like lichen' });
  expect(await found({ q: 'lichen' })).toBe(1);
});

it('a view is saved, listed, taken away and brought back', async () => {
  const { body } = await studio.http
    .post('/api/views')
    .send({ name: 'Straw work', filter: { tool: 'straw' } })
    .expect(201);
  const names = async () =>
    ((await studio.http.get('/api/views').expect(200)).body.items as { name: string }[]).map(
      (view) => view.name,
    );
  expect(await names()).toEqual(['Straw work']);
  await studio.http.delete(`/api/views/${body.id}`).query({ version: 1 }).expect(200);
  expect(await names()).toEqual([]);
  await studio.http.post(`/api/views/${body.id}/restore`).send({ version: 2 }).expect(200);
  expect(await names()).toEqual(['Straw work']);
});

it('the room sensor tells a room one can work in', async () => {
  const { body } = await studio.http.get('/api/climate').expect(200);
  expect(body.temperatureC).toBeGreaterThan(15);
  expect(body.temperatureC).toBeLessThan(28);
});
