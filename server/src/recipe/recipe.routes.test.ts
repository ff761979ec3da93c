import type { Mix, OwnRecipe } from '@icy-ribbon/contract';
import { materialNamed, openStudio, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

const part = (of: object, amount: number, unit = 'part') => ({ of, amount, unit });
const PAINT = { kind: 'paint' };
const material = (name: string) => ({ kind: 'material', material: name });

const recipe = (changes: object = {}) => ({
  name: 'Quay mix',
  parts: [part(material('flow-conditioner'), 3), part(PAINT, 1), part(material('water'), 1)],
  techniques: ['dutch'],
  cupRoles: ['color'],
  goodFor: 'fans',
  trouble: '',
  thinning: null,
  restHours: 12,
  ...changes,
});
const write = async (changes: object = {}) =>
  (await studio.http.post('/api/recipes').send(recipe(changes)).expect(201)).body as OwnRecipe;

it('a recipe of one’s own fills a cup, which keeps it when the recipe changes', async () => {
  const own = await write();
  const piece = await startPiece(studio);
  const { id: materialId } = await materialNamed(studio, 'Ochre');
  const cup = { role: 'color', recipeId: own.id, materialId, totalMg: 50_000 };
  const { body } = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(cup).expect(201);
  const mix = body as Mix;
  expect(mix.ingredients.map((each) => each.targetMg)).toEqual([30_000, 10_000, 10_000]);
  await studio.http
    .put(`/api/recipes/${own.id}`)
    .send({ ...recipe({ name: 'Other' }), version: 1 })
    .expect(200);
  const kept = await studio.http.get(`/api/pieces/${piece.id}`);
  expect(kept.body.mixes[0].recipe).toMatchObject({ id: own.id, name: 'Quay mix', restHours: 12 });
});

it('a recipe may stand inside another, but not inside itself', async () => {
  const medium = await write({
    name: 'Medium',
    cupRoles: [],
    parts: [part(material('untinted-base'), 2), part(material('varnish'), 1)],
  });
  const color = await write({
    name: 'Color',
    parts: [part({ kind: 'recipe', recipe: medium.id }, 2), part(PAINT, 1)],
  });
  const circle = await studio.http
    .put(`/api/recipes/${medium.id}`)
    .send({
      ...recipe({ name: 'Medium', parts: [part({ kind: 'recipe', recipe: color.id }, 1)] }),
      version: 1,
    })
    .expect(422);
  expect(circle.body.errors[0]).toMatchObject({ message: expect.stringMatching(/cannot contain itself/) });
});

it.each([
  [{ parts: [part(PAINT, 0)] }, 'parts'],
  [{ parts: [part(PAINT, 1), part(material('water'), 5, 'ml')] }, 'parts.1.unit'],
  [{ parts: [part(PAINT, -1)] }, 'parts.0.amount'],
  [{ name: '' }, 'name'],
  [{ techniques: [] }, 'techniques'],
])('refuses %j at %s', async (changes, path) => {
  const answer = await studio.http.post('/api/recipes').send(recipe(changes)).expect(422);
  expect(answer.body.errors[0].path).toBe(path);
});

it('is deleted and brought back, and a stale edit is refused', async () => {
  const own = await write();
  await studio.http
    .put(`/api/recipes/${own.id}`)
    .send({ ...recipe(), version: 1 })
    .expect(200);
  await studio.http
    .put(`/api/recipes/${own.id}`)
    .send({ ...recipe(), version: 1 })
    .expect(409);
  await studio.http.delete(`/api/recipes/${own.id}`).query({ version: 2 }).expect(200);
  expect((await studio.http.get('/api/recipes')).body.items).toEqual([]);
  await studio.http.post(`/api/recipes/${own.id}/restore`).send({ version: 3 }).expect(200);
  expect((await studio.http.get('/api/recipes')).body.items).toHaveLength(1);
});

it('a school whose medium the shelf lacks says what could stand in', async () => {
  const piece = await startPiece(studio);
  const { id: materialId } = await materialNamed(studio, 'Ochre');
  const glue = { role: 'color', recipeId: 'D6', materialId, totalMg: 50_000 };
  const answer = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(glue).expect(422);
  expect(answer.body.errors[0].message).toMatch(
    /needs pva glue.*Instead, 1 part of it may be 1 flow conditioner/,
  );
});

it('paint and water only refuses craft paint', async () => {
  const piece = await startPiece(studio);
  const craft = await studio.http
    .post('/api/materials')
    .send({ name: 'Craft red', kind: 'craft' })
    .expect(201);
  const cup = { role: 'color', recipeId: 'D4', materialId: craft.body.id, totalMg: 50_000 };
  const answer = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(cup).expect(422);
  expect(answer.body.errors[0]).toMatchObject({
    path: 'materialId',
    message: expect.stringMatching(/tube paint only/),
  });
});

it('a recipe that is thinned afterwards brings its thinner along, with nothing of it planned', async () => {
  const piece = await startPiece(studio);
  const { id: materialId } = await materialNamed(studio, 'Ochre');
  const cup = { role: 'color', recipeId: 'D1', materialId, totalMg: 45_000 };
  const { body } = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(cup).expect(201);
  expect((body as Mix).ingredients.map((each) => [each.role, each.targetMg])).toEqual([
    ['medium', 30_000],
    ['paint', 15_000],
    ['water', 0],
  ]);
  expect(body.recipe.thinning).toEqual({ with: 'water', to: 'fading' });
});

it('a saved color keeps its very paints and their parts', async () => {
  const [one, two] = [await materialNamed(studio, 'Ochre'), await materialNamed(studio, 'White')];
  const blend = [
    { materialId: one.id, parts: 1 },
    { materialId: two.id, parts: 0.25 },
  ];
  const { id } = await write({ name: 'Sea glass', blend });
  const { body } = await studio.http.get('/api/recipes').expect(200);
  expect((body.items as OwnRecipe[]).find((each) => each.id === id)?.blend).toEqual(blend);
  const twice = [blend[0], blend[0]];
  const wrong = await studio.http
    .post('/api/recipes')
    .send(recipe({ blend: twice }))
    .expect(422);
  expect(wrong.body.errors[0].path).toMatch(/^blend/);
});
