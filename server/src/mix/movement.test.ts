import { randomUUID } from 'node:crypto';
import type { Mix, Piece, ShelvedMaterial } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import {
  materialNamed,
  openStudio,
  planCup,
  startPiece,
  weighInFully,
  type Studio,
  importedBy,
} from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let mix: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
});
afterEach(() => studio.close());

const move = (kind: string, mg: number, id = randomUUID()) =>
  studio.http.post(`/api/mixes/${mix.id}/movements`).send({ id, kind, mg });

it('water that dried away is noted once, however often it is sent', async () => {
  const id = randomUUID();
  await move('loss', 1_250, id).expect(201);
  const { body } = await move('loss', 1_250, id).expect(201);
  expect(cupState(body as Mix).actualIngredientMg).toEqual([30_000, 15_000, 10_000]);
});

it('more may dry away than was added: the paint and the medium held water, which top-ups bring back', async () => {
  const wet = cupState(mix);
  const { body } = await move('loss', 14_000).expect(201);
  const dry = cupState(body as Mix);
  expect(dry.actualIngredientMg).toEqual([30_000, 15_000, -2_750]);
  expect(dry.actualMg).toBe(56_250 - 14_000);
  expect(dry.phase).toBe('mixed');
  expect(dry.properties.viscosityPaS).toBeGreaterThan(4 * wet.properties.viscosityPaS);
  // A reading of it says what it held, and every page still opens.
  const measure = { kind: 'words', stage: 'standing' };
  await studio.http
    .post(`/api/pieces/${piece.id}/readings`)
    .send({ readings: [{ id: randomUUID(), cupId: mix.id, raceId: null, temperatureC: null, measure }] })
    .expect(201);
  const whole = (await studio.http.get(`/api/pieces/${piece.id}`).expect(200)).body as Piece;
  expect(whole.readings[0]!.contents[2]!.mg).toBe(-2_750);
  await studio.http.get('/api/pieces').expect(200);
  const water = mix.ingredients[2]!.id;
  const back = { id: randomUUID(), ingredientId: water, mg: 14_000, source: 'typed' };
  const topped = await studio.http.post(`/api/mixes/${mix.id}/additions`).send(back).expect(201);
  expect(cupState(topped.body as Mix)).toMatchObject({
    actualMg: wet.actualMg,
    properties: { viscosityPaS: expect.closeTo(wet.properties.viscosityPaS, 9) as number },
  });
});

it('not more than its water dries away', async () => {
  const { body } = await move('loss', 50_000).expect(422);
  expect(body.errors[0].message).toMatch(/Only about [0-9.]+ g in "Deep blue" is water/);
});

it('water that one cup lacks is lacking in what is poured together with it', async () => {
  await move('loss', 14_000).expect(201);
  const other = await weighInFully(studio, await planCup(studio, piece, 'Ochre', 37_500));
  const combined = { id: randomUUID(), name: 'Left-overs', cupIds: [mix.id, other.id] };
  const { body } = await studio.http.post(`/api/pieces/${piece.id}/combined`).send(combined).expect(201);
  const state = cupState(body as Mix);
  expect(state.actualMg).toBe(42_250 + 37_500);
  const water = (body as Mix).ingredients.findIndex(({ material }) => material.kind === 'water');
  expect(state.actualIngredientMg[water]).toBe(7_500 - 2_750);
});

it('a cup cannot lose more than it holds', async () => {
  const answer = await move('taken-out', 90_000).expect(422);
  expect(answer.body.errors[0]).toMatchObject({
    path: 'mg',
    message: expect.stringContaining('holds 56.3 g'),
  });
});

it('an over-poured cup gets new targets, none below what is in it', async () => {
  const target = (at: number, targetMg: number) => ({ ingredientId: mix.ingredients[at]!.id, targetMg });
  const send = (targets: object[], version = mix.version) =>
    studio.http.post(`/api/mixes/${mix.id}/targets`).send({ version, targets });
  const low = await send([target(1, 9_000)]).expect(422);
  expect(low.body.errors[0].path).toBe('targets.0.targetMg');
  const { body } = await send([target(0, 36_000), target(1, 18_000)]).expect(200);
  expect((body as Mix).ingredients.map((each) => each.targetMg)).toEqual([36_000, 18_000, 11_250]);
  await send([target(0, 40_000)]).expect(409);
});

it('what is left of two cups is poured into one, ingredient by ingredient, to the milligram', async () => {
  const other = await weighInFully(studio, await planCup(studio, piece, 'Ochre', 37_500));
  const combined = { id: randomUUID(), name: 'Left-overs', cupIds: [mix.id, other.id] };
  const { body } = await studio.http.post(`/api/pieces/${piece.id}/combined`).send(combined).expect(201);
  const state = cupState(body as Mix);
  expect(state.actualMg).toBe(93_750);
  expect((body as Mix).ingredients.map((each) => [each.material.name, each.targetMg])).toEqual([
    ['Flow conditioner', 50_000],
    ['Deep blue', 15_000],
    ['Water', 18_750],
    ['Ochre', 10_000],
  ]);
  const list = await studio.http.get('/api/pieces');
  const left = list.body.items[0].mixes.map((each: { leftMg: number }) => each.leftMg);
  expect(left).toEqual([0, 0, 93_750]);
  await studio.http.post(`/api/pieces/${piece.id}/combined`).send(combined).expect(201);
  const empty = { ...combined, id: randomUUID() };
  await studio.http.post(`/api/pieces/${piece.id}/combined`).send(empty).expect(422);
});

it('the whole cup survives going out and in again, movements and recipe included', async () => {
  await move('loss', 1_250).expect(201);
  const { body } = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
  const elsewhere = await openStudio();
  try {
    const job = await importedBy(elsewhere, elsewhere.http.post('/api/pieces/import').send(body));
    expect(job.state).toBe('done');
    const again = await elsewhere.http.get(`/api/pieces/${piece.id}/export`).expect(200);
    expect(again.body).toEqual(body);
  } finally {
    await elsewhere.close();
  }
});

describe('stock', () => {
  const blue = async () => (await materialNamed(studio, 'Deep blue')) as unknown as ShelvedMaterial;

  it('goes down by what was weighed in since it was counted, and up when that is taken back', async () => {
    const before = await blue();
    await studio.http.patch(`/api/materials/${before.id}`).send({ version: 1, stockMg: 100_000 }).expect(200);
    expect(await blue()).toMatchObject({ stockMg: 100_000, usedMg: 0 });
    await new Promise((resolve) => setTimeout(resolve, 5));
    const more = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
    expect(await blue()).toMatchObject({ usedMg: 15_000 });
    await studio.http.delete(`/api/mixes/${more.id}`).query({ version: more.version }).expect(200);
    expect(await blue()).toMatchObject({ usedMg: 0 });
  });
});

describe('many materials at once', () => {
  it('come in all or none', async () => {
    const rows = [
      { name: 'Moss', kind: 'fluid' },
      { name: '', kind: 'fluid' },
    ];
    const send = (materials: object[]) =>
      importedBy(studio, studio.http.post('/api/materials/import').send({ materials }));
    expect((await send(rows)).problem?.errors?.[0]?.path).toBe('materials.1.name');
    expect((await studio.http.get('/api/materials').query({ q: 'Moss' })).body.total).toBe(0);
    expect(await send(rows.slice(0, 1))).toMatchObject({
      state: 'done',
      result: { materials: { added: 1 } },
    });
    expect((await studio.http.get('/api/materials').query({ q: 'Moss' })).body.total).toBe(1);
  });

  it('come in together with changes to what is there; one that was changed meanwhile stops all of it', async () => {
    const white = await materialNamed(studio, 'White');
    const send = (version: number) =>
      importedBy(
        studio,
        studio.http.post('/api/materials/import').send({
          materials: [{ name: 'Sedge', kind: 'fluid' }],
          changes: [{ id: white.id, version, stockMg: 60_000, densityGPerMl: 1.3, densityTrust: 'measured' }],
        }),
      );
    expect(await send(7)).toMatchObject({ state: 'refused', problem: { status: 409 } });
    expect(await materialNamed(studio, 'Sedge')).toBeUndefined();
    expect((await send(1)).result?.materials).toEqual({ added: 1, changed: 1 });
    expect(await materialNamed(studio, 'White')).toMatchObject({
      version: 2,
      stockMg: 60_000,
      densityGPerMl: 1.3,
      densityTrust: 'measured',
    });
  });

  it('10,000 rows come in', async () => {
    const materials = Array.from({ length: 10_000 }, (_, index) => ({ name: `Row ${index}`, kind: 'fluid' }));
    const job = await importedBy(studio, studio.http.post('/api/materials/import').send({ materials }));
    expect(job.result?.materials).toEqual({ added: 10_000, changed: 0 });
  }, 60_000);

  it('are changed all or none, and listed when taken off', async () => {
    const [white, ochre] = [await materialNamed(studio, 'White'), await materialNamed(studio, 'Ochre')];
    const bulk = (version: number) =>
      studio.http.post('/api/materials/bulk').send({
        materials: [
          { id: white.id, version: 1 },
          { id: ochre.id, version },
        ],
        changes: { opacity: 'transparent' },
      });
    await bulk(7).expect(409);
    expect((await materialNamed(studio, 'White')).opacity).toBe('opaque');
    await bulk(1).expect(200);
    expect((await materialNamed(studio, 'Ochre')).opacity).toBe('transparent');
    await studio.http.delete(`/api/materials/${ochre.id}`).query({ version: 2 }).expect(200);
    const off = await studio.http.get('/api/materials').query({ archived: 'yes' }).expect(200);
    expect(off.body.items.map((each: { name: string }) => each.name)).toEqual(['Ochre']);
  });
});
