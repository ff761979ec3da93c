import { randomUUID } from 'node:crypto';
import { MOST_CUP_MG, type Mix, type Piece, type ShelvedMaterial } from '@icy-ribbon/contract';
import { materialNamed, openStudio, planCup, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let mix: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  mix = await planCup(studio, piece, 'Deep blue', 56_250);
});
afterEach(() => studio.close());

const weigh = (mg: number, of = mix.ingredients[1]!.id) =>
  studio.http
    .post(`/api/mixes/${mix.id}/additions`)
    .send({ id: randomUUID(), ingredientId: of, mg, source: 'typed' });

const everyList = async () => {
  for (const path of ['/api/pieces', `/api/pieces/${piece.id}`, '/api/materials', '/api/mixes.csv']) {
    await studio.http.get(path).expect(200);
  }
};

it('eleven kilograms twice in one cup are twenty-two', async () => {
  await weigh(11_000_000).expect(201);
  await weigh(11_000_000).expect(201);
  await everyList();
  const { body } = await studio.http.get('/api/pieces').expect(200);
  expect(body.items[0].mixes[0].actualMg).toBe(22_000_000);
});

it('more used of a counted paint than one amount may be is shown as it is', async () => {
  const blue = await materialNamed(studio, 'Deep blue');
  await studio.http.patch(`/api/materials/${blue.id}`).send({ version: 1, stockMg: 100_000 }).expect(200);
  await weigh(11_000_000).expect(201);
  await weigh(11_000_000).expect(201);
  await everyList();
  const shelved = (await materialNamed(studio, 'Deep blue')) as unknown as ShelvedMaterial;
  expect(shelved.usedMg).toBe(22_000_000);
});

it('a cup of more than a ton is refused, and what was in it stays', async () => {
  const ingredientId = mix.ingredients[0]!.id;
  const row = { cupId: mix.id, ingredientId, source: 'typed' as const, at: new Date().toISOString() };
  await studio.db
    .insertInto('mixAddition')
    .values({ ...row, id: randomUUID(), mg: MOST_CUP_MG - 5, voidedAt: null, drawId: null, place: 1 })
    .execute();
  const answer = await weigh(6).expect(422);
  expect(answer.body.errors[0].message).toMatch(/a ton/);
  await weigh(5).expect(201);
  await everyList();
});

describe('when the clock was set back', () => {
  const HOUR = 3_600_000;
  const setBack = (hours: number) =>
    jest.spyOn(Date, 'now').mockImplementation(() => realNow() - hours * HOUR);
  const realNow = Date.now.bind(Date);
  const RealDate = Date;
  beforeEach(() => {
    // `new Date()` goes by the same clock.
    globalThis.Date = class extends RealDate {
      constructor(...given: [] | [string | number | Date]) {
        super(...((given.length === 0 ? [RealDate.now()] : given) as [number]));
      }
    } as DateConstructor;
  });
  afterEach(() => {
    globalThis.Date = RealDate;
    jest.restoreAllMocks();
  });

  it('what is weighed in afterwards still comes off the stock', async () => {
    const blue = await materialNamed(studio, 'Deep blue');
    await studio.http.patch(`/api/materials/${blue.id}`).send({ version: 1, stockMg: 100_000 }).expect(200);
    setBack(5);
    await weigh(7000).expect(201);
    expect(await materialNamed(studio, 'Deep blue')).toMatchObject({ usedMg: 7000 });
  });

  it('what came in and what left keep their order', async () => {
    for (const { id, targetMg } of mix.ingredients) if (targetMg > 0) await weigh(targetMg, id).expect(201);
    setBack(5);
    const out = { id: randomUUID(), kind: 'taken-out', mg: 28_125 };
    await studio.http.post(`/api/mixes/${mix.id}/movements`).send(out).expect(201);
    // Taken out of a full cup: half is left. Before anything was in it, all would be.
    const { body } = await studio.http.get('/api/pieces').expect(200);
    expect(body.items[0].mixes[0].leftMg).toBe(28_125);
  });
});

it('what is poured together for a piece that is not there is not poured', async () => {
  await weigh(11_000).expect(201);
  const body = { id: randomUUID(), name: 'Both', cupIds: [mix.id] };
  await studio.http.post(`/api/pieces/${randomUUID()}/combined`).send(body).expect(404);
  const { body: listed } = await studio.http.get('/api/pieces').expect(200);
  expect(listed.items[0].mixes[0].leftMg).toBe(11_000);
});

it('a cup that was taken off, or whose piece was deleted, takes nothing more', async () => {
  await studio.http.delete(`/api/mixes/${mix.id}`).query({ version: mix.version }).expect(200);
  await weigh(1000).expect(404);
  await studio.http
    .post(`/api/mixes/${mix.id}/restore`)
    .send({ version: mix.version + 1 })
    .expect(200);
  await weigh(1000).expect(201);
  await studio.http.delete(`/api/pieces/${piece.id}`).query({ version: 1 }).expect(200);
  await weigh(1000).expect(404);
});

describe('an id that something else has', () => {
  it('is told as taken, and nothing is stored', async () => {
    const other = await startPiece(studio);
    const cup = await planCup(studio, other, 'Ochre', 50_000);
    const id = randomUUID();
    const body = { id, ingredientId: mix.ingredients[1]!.id, mg: 1000, source: 'typed' };
    await studio.http.post(`/api/mixes/${mix.id}/additions`).send(body).expect(201);
    const elsewhere = { ...body, ingredientId: cup.ingredients[1]!.id };
    await studio.http.post(`/api/mixes/${cup.id}/additions`).send(elsewhere).expect(409);

    const move = { id: randomUUID(), kind: 'loss', mg: 100 };
    await studio.http.post(`/api/mixes/${mix.id}/movements`).send(move).expect(201);
    await weigh(1000, cup.ingredients[1]!.id).expect(422);
    await studio.http
      .post(`/api/mixes/${cup.id}/additions`)
      .send({ ...elsewhere, id: randomUUID() })
      .expect(201);
    await studio.http.post(`/api/mixes/${cup.id}/movements`).send(move).expect(409);

    const event = { id: randomUUID(), at: '2026-03-01T10:00:00Z', kind: 'note', data: { text: 'stiff' } };
    await studio.http.post(`/api/pieces/${piece.id}/events`).send(event).expect(201);
    await studio.http.post(`/api/pieces/${other.id}/events`).send(event).expect(409);

    const words = { kind: 'words', stage: 'fading' };
    const reading = { id: randomUUID(), cupId: mix.id, raceId: null, temperatureC: null, measure: words };
    await studio.http
      .post(`/api/pieces/${piece.id}/readings`)
      .send({ readings: [reading] })
      .expect(201);
    const moved = { readings: [{ ...reading, cupId: cup.id }] };
    await studio.http.post(`/api/pieces/${other.id}/readings`).send(moved).expect(409);

    const materialId = (await materialNamed(studio, 'Ochre')).id;
    const planned = { id: mix.id, role: 'color', recipeId: 'D2', materialId, totalMg: 50_000 };
    await studio.http.post(`/api/pieces/${other.id}/mixes`).send(planned).expect(409);
    expect(studio.faults).toEqual([]);
  });
});
