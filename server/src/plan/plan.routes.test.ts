import { randomUUID } from 'node:crypto';
import type { Mix, Piece, PiecePlan, PieceDocument } from '@icy-ribbon/contract';
import { EMPTY_PLAN } from '@icy-ribbon/core/piece/plan';
import { openStudio, planCup, startPiece, type Studio, importedBy, weighInFully } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let mix: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  mix = await planCup(studio, piece, 'Deep blue', 56_250);
});
afterEach(() => studio.close());

const stack = (cupId: string) => ({
  id: 's1',
  at: { x: 100, y: 120 },
  footprintMm: 150,
  layers: [{ id: 'l1', cupId, massG: 12.5 }],
});
const plan = (changes: object = {}) => ({
  ...EMPTY_PLAN,
  stacks: [stack(mix.id)],
  planned: [],
  ticked: [],
  version: 0,
  ...changes,
});
const put = (body: object) => studio.http.put(`/api/pieces/${piece.id}/plan`).send(body);

it('a plan is kept with its piece, and what comes next is the pour', async () => {
  const { body } = await put(plan()).expect(200);
  expect(body.version).toBe(1);
  const read = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect((read.body as Piece).plan).toEqual(body);
});

it('a plan that started from an older one is refused with the newer one', async () => {
  await put(plan()).expect(200);
  const answer = await put(plan({ ticked: ['level'] })).expect(409);
  expect((answer.body.current as PiecePlan).version).toBe(1);
  await put(plan({ ticked: ['level'], version: 1 })).expect(200);
});

it('a cup that is only planned may be poured; another piece’s may not', async () => {
  const id = randomUUID();
  const planned = [
    { id, name: 'rust', role: 'color', recipeId: 'D2', variant: null, materialId: randomUUID() },
  ];
  await put(plan({ stacks: [stack(id)], planned })).expect(200);
  const answer = await put(plan({ stacks: [stack(randomUUID())], version: 1 })).expect(422);
  expect(answer.body.errors[0].path).toBe('planned');
});

it('cups that are poured together are poured on by the plan, under the new cup, as old as the oldest', async () => {
  const full = await weighInFully(studio, mix);
  await put(plan()).expect(200);
  const combined = { id: randomUUID(), name: 'Together', cupIds: [full.id] };
  const { body } = await studio.http.post(`/api/pieces/${piece.id}/combined`).send(combined).expect(201);
  const whole = (await studio.http.get(`/api/pieces/${piece.id}`).expect(200)).body as Piece;
  expect(whole.plan!.stacks[0]!.layers[0]!.cupId).toBe(combined.id);
  expect(whole.plan!.version).toBe(2);
  expect((body as Mix).additions.map(({ at }) => at)).toEqual(
    (body as Mix).additions.map(() => full.additions.at(-1)!.at),
  );
});

it('a planned cup becomes a cup of the same id', async () => {
  const id = randomUUID();
  const materialId = mix.ingredients.find((each) => each.role === 'paint')!.material.materialId;
  const planned = [{ id, name: 'Deep blue', role: 'color', recipeId: 'D2', variant: null, materialId }];
  await put(plan({ stacks: [stack(id)], planned })).expect(200);
  const cup = { id, role: 'color', recipeId: 'D2', materialId, totalMg: 40_000 };
  const made = await studio.http.post(`/api/pieces/${piece.id}/mixes`).send(cup).expect(201);
  expect((made.body as Mix).id).toBe(id);
  await put(plan({ stacks: [stack(id)], version: 1 })).expect(200);
});

it.each([
  [{ stacks: [{ ...stack('x'), footprintMm: 0 }] }, 'stacks.0.footprintMm'],
  [{ settings: { ...EMPTY_PLAN.settings, copies: 0 } }, 'settings.copies'],
  [{ passes: [{ id: 'p', tool: 'whistle' }] }, 'passes.0.tool'],
])('what cannot be poured is answered at its field: %#', async (wrong, field) => {
  const { body } = await put(plan(wrong)).expect(422);
  expect(body.errors.map((each: { path: string }) => each.path)).toContain(field);
});

it('goes out with its piece and comes in again as a copy that pours the copy’s cups', async () => {
  await put(plan()).expect(200);
  const out = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
  const { result } = await importedBy(
    studio,
    studio.http.post('/api/pieces/import').send(out.body as PieceDocument),
  );
  const copy = (await studio.http.get(`/api/pieces/${result!.piece!.pieceId}`).expect(200)).body as Piece;
  expect(copy.plan!.stacks[0]!.layers[0]!.cupId).toBe(copy.mixes[0]!.id);
  expect(copy.mixes[0]!.id).not.toBe(mix.id);
});

it('there is no plan without its piece', async () => {
  await studio.http.put(`/api/pieces/${randomUUID()}/plan`).send(plan()).expect(404);
});
