import { randomUUID } from 'node:crypto';
import type { Mix, Piece, ShelvedMaterial } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { materialNamed, openStudio, startPiece, weighInFully, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let medium: Mix;
let color: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio, 'bloom');
  const plan = async (body: object) =>
    (await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(body).expect(201)).body as Mix;
  medium = await weighInFully(
    studio,
    await plan({ role: 'medium', recipeId: 'bloom-medium', totalMg: 80_000 }),
  );
  const { id: materialId } = await materialNamed(studio, 'Fluid teal');
  color = await plan({ role: 'color', recipeId: 'B1', materialId, totalMg: 60_000 });
});
afterEach(() => studio.close());

const draw = (mg: number, id = randomUUID(), fromCupId = medium.id) =>
  studio.http.post(`/api/mixes/${color.id}/draws`).send({ id, fromCupId, mg });

it('a medium is a cup of its own, named after its recipe, without a paint', () => {
  expect(medium).toMatchObject({ role: 'medium', name: 'Bloom medium', recipe: { id: 'bloom-medium' } });
  expect(medium.ingredients.map((each) => each.targetMg)).toEqual([60_000, 20_000]);
});

it('what is poured of it counts for each ingredient, to the milligram, and leaves the medium', async () => {
  const id = randomUUID();
  await draw(20_001, id).expect(201);
  const { body } = await draw(20_001, id).expect(201);
  const { mix, from } = body as { mix: Mix; from: Mix };
  expect(cupState(mix).actualMg).toBe(20_001);
  expect(cupState(from).leftMg).toBe(80_000 - 20_001);
  expect(mix.additions.map((each) => each.source)).toEqual(['poured', 'poured']);
});

it('taken back, it is in the medium again', async () => {
  const { body } = await draw(20_000).expect(201);
  const [first] = (body as { mix: Mix }).mix.additions;
  const back = await studio.http.delete(`/api/mixes/${color.id}/additions/${first!.id}`).expect(200);
  expect((back.body as Mix).additions).toEqual([]);
  const whole = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  const again = (whole.body as Piece).mixes.find((each) => each.id === medium.id)!;
  expect(cupState(again).leftMg).toBe(80_000);
});

it('taken back, the cup it came from is another one: a second tab that still has the old one is told', async () => {
  const { body } = await draw(20_000).expect(201);
  const { mix, from } = body as { mix: Mix; from: Mix };
  await studio.http.delete(`/api/mixes/${color.id}/additions/${mix.additions[0]!.id}`).expect(200);
  await studio.http.patch(`/api/mixes/${medium.id}`).send({ version: from.version, name: 'Old' }).expect(409);
});

it('a typed total counts what was drawn: no mass is lost between the cups', async () => {
  const { body } = await draw(40_000).expect(201);
  const { mix } = body as { mix: Mix };
  const [drawn] = mix.additions;
  const typed = (mg: number, version: number) =>
    studio.http
      .put(`/api/mixes/${color.id}/ingredients/${drawn!.ingredientId}/actual`)
      .send({ version, mg, source: 'typed' });
  const refused = await typed(drawn!.mg - 1_000, mix.version).expect(422);
  expect(JSON.stringify(refused.body)).toMatch(/came from another cup/);
  const { body: more } = await typed(drawn!.mg + 5_000, mix.version).expect(200);
  const held = (more as Mix).additions.filter(({ ingredientId }) => ingredientId === drawn!.ingredientId);
  expect(held.map(({ mg }) => mg)).toEqual([drawn!.mg, 5_000]);
  const whole = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  const total = (whole.body as Piece).mixes.reduce((sum, each) => sum + cupState(each).leftMg, 0);
  expect(total).toBe(80_000 + 5_000);
});

it('does not count against the stock a second time', async () => {
  const used = async () =>
    (
      (await studio.http.get('/api/materials').query({ pageSize: 200 }).expect(200)).body
        .items as ShelvedMaterial[]
    )
      .filter((each) => each.kind === 'untinted-base')
      .map((each) => each.usedMg);
  const base = (await studio.http.get('/api/materials').query({ pageSize: 200 })).body.items.find(
    (each: ShelvedMaterial) => each.kind === 'untinted-base',
  ) as ShelvedMaterial;
  await studio.http
    .patch(`/api/materials/${base.id}`)
    .send({ version: base.version, stockMg: 500_000 })
    .expect(200);
  const before = await used();
  await draw(20_000).expect(201);
  expect(await used()).toEqual(before);
});

it('no more than it holds, not into itself, and nothing the cup takes none of', async () => {
  expect((await draw(90_000).expect(422)).body.errors[0].path).toBe('mg');
  const self = await studio.http
    .post(`/api/mixes/${medium.id}/draws`)
    .send({ id: randomUUID(), fromCupId: medium.id, mg: 1_000 })
    .expect(422);
  expect(self.body.errors[0].path).toBe('fromCupId');
  const { id: materialId } = await materialNamed(studio, 'White');
  const activator = (
    await studio.http
      .post(`/api/pieces/${piece.id}/mixes`)
      .send({ role: 'activator', recipeId: 'A1', materialId, totalMg: 20_000 })
      .expect(201)
  ).body as Mix;
  const odd = await studio.http
    .post(`/api/mixes/${activator.id}/draws`)
    .send({ id: randomUUID(), fromCupId: medium.id, mg: 1_000 })
    .expect(422);
  expect(odd.body.errors[0].message).toMatch(/takes no/);
});

it('a recipe that makes colors does not make a medium, and a color needs a paint', async () => {
  const send = (body: object) => studio.http.post(`/api/pieces/${piece.id}/mixes`).send(body).expect(422);
  const wrong = await send({ role: 'medium', recipeId: 'B1', totalMg: 60_000 });
  expect(wrong.body.errors[0].path).toBe('recipeId');
  const bare = await send({ role: 'color', recipeId: 'B1', totalMg: 60_000 });
  expect(bare.body.errors[0].path).toBe('materialId');
});
