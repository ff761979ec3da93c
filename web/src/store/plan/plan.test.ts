import { EMPTY_PLAN, findItem, moveItems, usualPass } from '@icy-ribbon/core/piece/plan';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { mixMissing } from '#station/plan/parts/mixMissing.ts';
import { newId, usePlan } from './plan.ts';
import { usePiece } from '../piece/piece.ts';
import { conflict, decideConflict } from '../versioned.ts';

const AT = '2026-03-01T09:30:00.000Z';
const id = (digit: number) => `3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a${String(digit).padStart(2, '0')}`;
const record = { version: 1, createdAt: AT, updatedAt: AT, deletedAt: null };
const support = { name: 'Board', shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 };

const PAINT_ID = id(60);
const material = {
  ...record,
  id: PAINT_ID,
  name: 'Rust',
  kind: 'artist-tube',
  colorHex: '#9c4a2c',
  dryColorHex: null,
  finish: 'plain',
  opacity: 'opaque',
  pigment: null,
  densityGPerMl: 1.2,
  densityTrust: 'typical',
  viscosityPaS: 45,
  viscosityTrust: 'typical',
  priceCents: 800,
  packMg: 100_000,
  stockMg: null,
  stockCountedAt: null,
  openedOn: null,
  canBuy: true,
  solids: null,
  waterLimit: null,
  note: '',
};

/** A studio of one piece that keeps its plan as the server does: by version. */
function studio() {
  const server = {
    plan: null as (Record<string, unknown> & { version: number }) | null,
    puts: 0,
    cups: [] as object[],
  };
  const piece = () => ({
    ...record,
    id: id(1),
    name: 'Low tide',
    technique: 'dutch',
    note: '',
    support: { supportId: id(2), ...support },
    mixes: [],
    readings: [],
    plan: server.plan,
    events: [],
    photos: [],
    judgement: null,
  });
  const shelved = { ...material, usedMg: 0, leftMg: null, dryShift: null, learned: null };
  const answer = (body: unknown, status = 200) =>
    new Response(JSON.stringify(body), {
      status,
      headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
    });
  globalThis.fetch = jest.fn(async (address: string, init?: RequestInit) => {
    if (address.startsWith('/api/materials')) {
      return answer({ items: [shelved], total: 1, page: 1, pageSize: 200 });
    }
    if (address.startsWith('/api/supports')) return answer({ items: [], total: 0, page: 1, pageSize: 200 });
    if (address.endsWith('/plan')) {
      server.puts += 1;
      const sent = JSON.parse(init!.body as string) as { version: number };
      if (sent.version !== (server.plan?.version ?? 0)) {
        return answer({ type: 'about:blank', title: 'Changed', status: 409, current: server.plan }, 409);
      }
      server.plan = { ...sent, version: sent.version + 1, createdAt: AT, updatedAt: AT };
      return answer(server.plan);
    }
    if (address.startsWith('/api/pieces/')) return answer(piece());
    return answer({ items: [], total: 0, page: 1, pageSize: 1000 });
  }) as never;
  return server;
}

async function opened() {
  setActivePinia(createPinia());
  const store = usePiece();
  await store.open(id(1));
  const plan = usePlan();
  await plan.open();
  return { store, plan };
}

const pass = (seconds: number) => usualPass(newId(), 'mouth', { x: 150, y: 200 }, 90, seconds);
const passes = (plan: ReturnType<typeof usePlan>) => plan.body.passes.map((each) => each.seconds);

let server: ReturnType<typeof studio>;
beforeEach(() => {
  server = studio();
});

it('a piece without a plan begins with an empty one, and nothing is sent', async () => {
  const { plan } = await opened();
  expect(plan.body).toMatchObject(EMPTY_PLAN);
  await plan.flush();
  expect(server.puts).toBe(0);
});

it('edits are steps that can be undone and done again', async () => {
  const { plan } = await opened();
  plan.edit((now) => ({ ...now, passes: [pass(1)] }));
  plan.edit((now) => ({ ...now, passes: [...now.passes, pass(2)] }));
  plan.undo();
  expect(passes(plan)).toEqual([1]);
  plan.redo();
  expect(passes(plan)).toEqual([1, 2]);
  plan.undo();
  plan.undo();
  plan.undo();
  expect(passes(plan)).toEqual([]);
  plan.edit((now) => ({ ...now, passes: [...now.passes] }));
  expect(plan.canRedo).toBe(true);
  plan.redo();
  expect(passes(plan)).toEqual([1]);
  plan.undo();
  plan.edit((now) => ({ ...now, passes: [pass(9)] }));
  expect(plan.canRedo).toBe(false);
  plan.redo();
  expect(passes(plan)).toEqual([9]);
  await plan.flush();
});

it('two hundred steps can be undone, and a plan that was opened is where it ends', async () => {
  const { plan } = await opened();
  expect(plan.canUndo).toBe(false);
  for (let step = 1; step <= 220; step += 1) plan.edit((now) => ({ ...now, passes: [pass(step)] }));
  for (let step = 0; step < 220; step += 1) plan.undo();
  expect(passes(plan)).toEqual([20]);
  expect(plan.canUndo).toBe(false);
  await plan.flush();
});

it('what is chosen stays chosen while it is there, and is let go of when it is gone', async () => {
  const { plan } = await opened();
  const [one, two] = [pass(1), pass(2)];
  plan.edit((now) => ({ ...now, passes: [one, two] }));
  plan.select([one.id, two.id]);
  plan.edit((now) => moveItems(now, [one.id], 5, 0));
  expect(plan.selected.map((item) => item.id)).toEqual([one.id, two.id]);
  plan.edit((now) => ({ ...now, passes: [two] }));
  expect(plan.selection).toEqual([two.id]);
  expect(findItem(plan.body, two.id)).toBeDefined();
});

it('is kept with the version it came from, one write after the other', async () => {
  const { plan, store } = await opened();
  plan.edit((now) => ({ ...now, passes: [pass(1)] }));
  await plan.flush();
  plan.edit((now) => ({ ...now, passes: [pass(2)] }));
  await Promise.all([plan.flush(), plan.flush()]);
  expect(server.plan!.version).toBe(2);
  expect(store.piece!.plan!.passes.map((each) => each.seconds)).toEqual([2]);
  expect(plan.unsaved).toBe(false);
});

it('what another tab planned is taken over while nothing is changed here', async () => {
  const { plan, store } = await opened();
  plan.edit((now) => ({ ...now, passes: [pass(1)] }));
  await plan.flush();
  server.plan = { ...server.plan!, version: 5, passes: [pass(7)] };
  await store.reload();
  await nextTick();
  expect(passes(plan)).toEqual([7]);
});

it.each([
  [true, [3]],
  [false, [7]],
])('when both changed it the artist decides: mine %s', async (mine, left) => {
  const { plan } = await opened();
  plan.edit((now) => ({ ...now, passes: [pass(1)] }));
  await plan.flush();
  server.plan = { ...server.plan!, version: 5, passes: [pass(7)] };
  plan.edit((now) => ({ ...now, passes: [pass(3)] }));
  const kept = plan.flush();
  while (!conflict.value) await new Promise((resolve) => setTimeout(resolve, 1));
  decideConflict(mine);
  await kept;
  expect(passes(plan)).toEqual(left);
  expect((server.plan.passes as { seconds: number }[]).map((each) => each.seconds)).toEqual(left);
});

it('a planned cup is a paint of the plan; what is short of it is put on the bench under its own id', async () => {
  const { plan } = await opened();
  const cup = {
    id: id(30),
    name: 'Rust',
    role: 'color' as const,
    recipeId: 'P1',
    variant: null,
    materialId: PAINT_ID,
    blend: null,
  };
  const path = {
    id: 'ribbon',
    kind: 'ribbon' as const,
    start: { x: 50, y: 50 },
    control: { x: 100, y: 50 },
    end: { x: 150, y: 50 },
    layers: [{ id: 'l', cupId: cup.id, massG: 20 }],
  };
  plan.change({ ...plan.body, planned: [cup], paths: [path] });
  expect(plan.paints.map((paint) => paint.name)).toEqual(['Rust']);
  expect(plan.reckoning.amounts!.paints[0]!.massG).toBeCloseTo(20 * 1.25 + 3, 9);
  expect(plan.findings).toContainEqual(
    expect.objectContaining({
      code: 'short',
      facts: expect.objectContaining({ name: 'Rust', isMixed: false }),
    }),
  );
  expect(plan.costs.get(cup.id)).toBeCloseTo(8, 9);
  const asked: unknown[] = [];
  const store = { cups: [], addCup: async (input: unknown) => void asked.push(input) };
  expect(await mixMissing(plan, store as never, null)).toBe(1);
  expect(asked).toEqual([
    {
      id: cup.id,
      role: 'color',
      recipeId: 'P1',
      variant: null,
      name: 'Rust',
      totalMg: 28_000,
      materialId: PAINT_ID,
      blend: null,
    },
  ]);
});

it('a plan that cannot be worked out says why and keeps what was entered', async () => {
  const { plan } = await opened();
  const base = {
    pattern: 'one' as const,
    areas: [{ cupId: 'gone', share: 1 }],
    seam: null,
    film: { kind: 'thickness' as const, mm: 1 },
  };
  plan.edit((now) => ({ ...now, base }));
  expect(plan.reckoning.amounts).toBeNull();
  expect(plan.reckoning.wrong).toMatch(/paint that is not there/);
  expect(plan.findings).toEqual([]);
  plan.undo();
  expect(plan.reckoning.wrong).toBeNull();
});

it('a mixed cup that is short grows by the parts that are really in it; one that nearly holds enough is not short', async () => {
  const { plan } = await opened();
  const asked: unknown[] = [];
  const store = (leftMg: number) => ({
    cups: [
      {
        mix: { id: 'cup', ingredients: [{ targetMg: 20_000 }, { targetMg: 10_000 }, { targetMg: 0 }] },
        // A third of what was stirred in thinned it: the recipe itself has none.
        state: { phase: 'mixed', leftMg, actualMg: 36_000, actualIngredientMg: [20_000, 10_000, 6_000] },
      },
    ],
    retarget: async (_: unknown, targets: unknown) => void asked.push(targets),
  });
  const wants = (massG: number) =>
    ({ planned: [], reckoning: { amounts: { paints: [{ cupId: 'cup', massG }] } } }) as never;
  expect(plan.planned).toEqual([]);
  expect(await mixMissing(wants(54), store(36_000) as never, null)).toBe(1);
  expect(asked).toEqual([[30_000, 15_000, 9_000]]);
  expect(await mixMissing(wants(36.5), store(36_000) as never, null)).toBe(0);
});
