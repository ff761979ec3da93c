import { randomUUID } from 'node:crypto';
import type { Mix, Piece } from '@icy-ribbon/contract';
import {
  materialNamed,
  openStudio,
  planCup,
  startPiece,
  weighInFully,
  type Studio,
} from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
});
afterEach(() => studio.close());

const targets = (mix: Mix) => mix.ingredients.map((each) => [each.material.name, each.targetMg]);

it('a cup of 56.25 g measured Dutch takes 30, 15 and 11.25 g (common practice)', async () => {
  const mix = await planCup(studio, piece, 'Deep blue', 56_250);
  expect(targets(mix)).toEqual([
    ['Flow conditioner', 30_000],
    ['Deep blue', 15_000],
    ['Water', 11_250],
  ]);
});

it('a metallic takes one part of water', async () => {
  expect(targets(await planCup(studio, piece, 'Copper', 40_000)).map(([, mg]) => mg)).toEqual([
    20_000, 10_000, 10_000,
  ]);
});

describe('a color of several paints', () => {
  const ask = async (parts: readonly (readonly [name: string, parts: number])[], more: object = {}) => {
    const blend = [];
    for (const [name, each] of parts) {
      blend.push({ materialId: (await materialNamed(studio, name)).id, parts: each });
    }
    return studio.http
      .post(`/api/pieces/${piece.id}/mixes`)
      .send({ role: 'color', recipeId: 'D2', totalMg: 37_500, blend, ...more });
  };

  it('divides the paint of its recipe by their parts, and remembers them', async () => {
    const { body } = await ask([
      ['White', 1],
      ['Deep blue', 0.25],
    ]);
    expect(body.name).toBe('White and Deep blue');
    expect(targets(body as Mix)).toEqual([
      ['Flow conditioner', 20_000],
      ['White', 8_000],
      ['Deep blue', 2_000],
      ['Water', 7_500],
    ]);
    expect((body as Mix).recipe.blend?.map(({ parts }) => parts)).toEqual([1, 0.25]);
    await weighInFully(studio, body as Mix);
    const { body: read } = await studio.http.get(`/api/pieces/${piece.id}`);
    expect((read as Piece).mixes[0]!.recipe.blend).toHaveLength(2);
  });

  it('takes two to five different paints, and only paints', async () => {
    const twice = await ask([
      ['White', 1],
      ['White', 1],
    ]);
    expect(twice.body.errors[0]).toMatchObject({ path: 'blend', message: 'Choose each paint only once.' });
    const water = await ask([
      ['White', 1],
      ['Water', 1],
    ]);
    expect(water.status).toBe(422);
    expect(water.body.detail).toContain('Water');
  });

  it('the strongest paint says whether it is made as a metallic', async () => {
    const { body } = await ask([
      ['Copper', 3],
      ['Deep blue', 1],
    ]);
    expect(targets(body as Mix)).toEqual([
      ['Flow conditioner', 18_750],
      ['Copper', 7_031],
      ['Deep blue', 2_344],
      ['Water', 9_375],
    ]);
  });
});

it('a cup keeps its materials as they were', async () => {
  const mix = await planCup(studio, piece, 'Ochre', 50_000);
  const ochre = await materialNamed(studio, 'Ochre');
  await studio.http
    .patch(`/api/materials/${ochre.id}`)
    .send({ version: 1, viscosityPaS: 5, viscosityTrust: 'measured' });
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`);
  expect(body.mixes[0].ingredients[1].material).toMatchObject({
    viscosityPaS: 45,
    viscosityTrust: 'typical',
  });
  expect(body.mixes[0].id).toBe(mix.id);
});

it('an addition sent twice counts once, and can be taken back', async () => {
  const mix = await planCup(studio, piece, 'Deep blue', 56_250);
  const addition = { id: randomUUID(), ingredientId: mix.ingredients[0]!.id, mg: 15_050, source: 'scale' };
  await studio.http.post(`/api/mixes/${mix.id}/additions`).send(addition).expect(201);
  const again = await studio.http.post(`/api/mixes/${mix.id}/additions`).send(addition).expect(201);
  expect(again.body.additions).toHaveLength(1);
  const back = await studio.http.delete(`/api/mixes/${mix.id}/additions/${addition.id}`).expect(200);
  expect(back.body.additions).toEqual([]);
  await studio.http.delete(`/api/mixes/${mix.id}/additions/${addition.id}`).expect(200);
});

it('a typed weight replaces what was weighed of that ingredient; two tabs do not overwrite each other', async () => {
  const mix = await planCup(studio, piece, 'Deep blue', 56_250);
  const address = `/api/mixes/${mix.id}/ingredients/${mix.ingredients[1]!.id}/actual`;
  const first = await studio.http.put(address).send({ version: 1, mg: 15_000, source: 'typed' }).expect(200);
  expect(first.body.version).toBe(2);
  const other = await studio.http.put(address).send({ version: 1, mg: 17_000, source: 'typed' }).expect(409);
  expect(other.body.current.additions).toEqual([expect.objectContaining({ mg: 15_000 })]);
  const cleared = await studio.http.put(address).send({ version: 2, mg: 0, source: 'typed' }).expect(200);
  expect(cleared.body.additions).toEqual([]);
});

it('the amount can be changed until something is weighed in', async () => {
  const mix = await planCup(studio, piece, 'Deep blue', 56_250);
  const larger = await studio.http
    .patch(`/api/mixes/${mix.id}`)
    .send({ version: 1, totalMg: 112_500, name: 'Blue' });
  expect(targets(larger.body as Mix).map(([, mg]) => mg)).toEqual([60_000, 30_000, 22_500]);
  expect(larger.body.name).toBe('Blue');
  await weighInFully(studio, larger.body as Mix);
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`);
  const answer = await studio.http
    .patch(`/api/mixes/${mix.id}`)
    .send({ version: body.mixes[0].version, totalMg: 50_000 });
  expect(answer.status).toBe(422);
  expect(answer.body.errors[0].path).toBe('totalMg');
});

it.each([
  [{ recipeId: 'B1' }, 'recipeId'],
  [{ totalMg: 10 }, 'totalMg'],
  [{ role: 'pillow' }, 'recipeId'],
])('refuses %j at its field', async (change, path) => {
  const { id: materialId } = await materialNamed(studio, 'Ochre');
  const given = { role: 'color', recipeId: 'D2', materialId, totalMg: 50_000, ...change };
  const answer = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(given).expect(422);
  expect(answer.body.errors[0].path).toBe(path);
});

it('refuses a medium as the color, and says which medium the shelf lacks', async () => {
  const conditioner = await materialNamed(studio, 'Flow conditioner');
  const ochre = await materialNamed(studio, 'Ochre');
  const post = (materialId: string) =>
    studio.http
      .post(`/api/pieces/${piece.id}/mixes`)
      .send({ role: 'color', recipeId: 'D2', materialId, totalMg: 50_000 });
  expect((await post(conditioner.id)).body.errors[0].path).toBe('materialId');
  await studio.http.delete(`/api/materials/${conditioner.id}`).query({ version: 1 });
  expect((await post(ochre.id)).body.errors[0].message).toMatch(/needs flow conditioner/);
});

it('a cup comes off the bench and back, but a poured one stays', async () => {
  const mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
  const removed = await studio.http
    .delete(`/api/mixes/${mix.id}`)
    .query({ version: mix.version })
    .expect(200);
  await studio.http.post(`/api/mixes/${mix.id}/restore`).send({ version: removed.body.version }).expect(200);
  await studio.http
    .post(`/api/pieces/${piece.id}/events`)
    .send({
      id: randomUUID(),
      at: new Date().toISOString(),
      kind: 'layer',
      data: { cupId: mix.id, mg: 1000 },
    })
    .expect(201);
  await studio.http
    .delete(`/api/mixes/${mix.id}`)
    .query({ version: mix.version + 2 })
    .expect(422);
});
