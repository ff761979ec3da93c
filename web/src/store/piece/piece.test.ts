import type { PourEvent } from '@icy-ribbon/contract';
import { createPinia, setActivePinia } from 'pinia';
import { usePiece } from './piece.ts';
import { usePourWrites } from './pourWrites.ts';

const AT = '2026-03-01T09:30:00.000Z';
const id = (digit: number) => `3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a${String(digit).padStart(2, '0')}`;
const record = { version: 1, createdAt: AT, updatedAt: AT, deletedAt: null };
const RUST = id(10);
const CUP_MG = 30_000;

const material = {
  materialId: id(60),
  name: 'Rust',
  kind: 'fluid',
  colorHex: '#9c4a2c',
  dryColorHex: null,
  pigment: null,
  finish: 'plain',
  opacity: 'opaque',
  densityGPerMl: 1.2,
  densityTrust: 'typical',
  viscosityPaS: 2,
  viscosityTrust: 'typical',
  priceCents: null,
  packMg: null,
  solids: null,
  waterLimit: null,
};

const mix = {
  ...record,
  id: RUST,
  pieceId: id(1),
  name: 'Rust',
  role: 'color',
  recipe: { id: 'D2', name: 'D2', variant: null, thinning: null, restHours: null, waterLimit: null },
  position: 0,
  ingredients: [{ id: id(11), role: 'paint', share: 1, targetMg: CUP_MG, material }],
  additions: [{ id: id(12), ingredientId: id(11), mg: CUP_MG, source: 'typed', at: AT, drawId: null }],
  movements: [],
  lid: true,
  dryColorHex: null,
};

/** A server with one piece of one cup that keeps its log by id. */
function server(changes: object = {}) {
  const events: PourEvent[] = [];
  const state = { isAway: false };
  const piece = () => ({
    ...record,
    id: id(1),
    name: 'Low tide',
    technique: 'dutch',
    note: '',
    support: {
      supportId: id(2),
      name: 'Board',
      shape: 'rectangle',
      widthMm: 300,
      heightMm: 400,
      sideDepthMm: 18,
    },
    mixes: [mix],
    readings: [],
    plan: null,
    events,
    photos: [],
    judgement: null,
    ...changes,
  });
  const answer = (body: unknown, status = 200) =>
    new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
  let version = 1;
  const weigh = async (body: { version: number; mg: number }) => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    if (body.version !== version)
      return new Response('{}', { status: 409, headers: { 'Content-Type': 'application/problem+json' } });
    version += 1;
    return answer({ ...mix, version, additions: [{ ...mix.additions[0], mg: body.mg }] });
  };
  globalThis.fetch = (async (url: string, init: RequestInit) => {
    if (state.isAway) throw new TypeError('failed to fetch');
    if (url.endsWith('/actual')) return weigh(JSON.parse(String(init.body)));
    if (!url.endsWith('/events')) return answer(piece());
    const event = JSON.parse(String(init.body)) as PourEvent;
    if (!events.some((each) => each.id === event.id)) events.push(event);
    return answer({ events }, 201);
  }) as never;
  return { events, state };
}

async function inHand() {
  setActivePinia(createPinia());
  const store = usePiece();
  await store.open(id(1));
  return store;
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Until the server has everything, however slow the machine. */
async function arrived(store: ReturnType<typeof usePiece>): Promise<void> {
  for (let look = 0; look < 200 && store.unsent.length > 0; look += 1) await pause(10);
}
const leftOf = (store: ReturnType<typeof usePiece>) => store.cups[0]!.state.leftMg;
const breath = {
  tool: 'mouth',
  setting: 'soft',
  distanceMm: 100,
  slantDeg: 30,
  directionDeg: 0,
  seconds: 3,
  from: null,
} as const;

describe('while it is poured', () => {
  it('a cup goes down at once, before the server has answered', async () => {
    const { events } = server();
    const store = await inHand();
    const writes = usePourWrites();
    writes.layDown(RUST, 12_000);
    expect(leftOf(store)).toBe(CUP_MG - 12_000);
    expect(store.unsent).toHaveLength(1);
    await arrived(store);
    expect(store.unsent).toEqual([]);
    expect(events).toHaveLength(1);
    expect(leftOf(store)).toBe(CUP_MG - 12_000);
  });

  it('more than the cup holds is refused before it is kept', async () => {
    const { events } = server();
    const store = await inHand();
    const writes = usePourWrites();
    writes.layDown(RUST, 20_000);
    expect(() => writes.layDown(RUST, 10_001)).toThrow(/holds 10\.0 g/);
    await arrived(store);
    expect(events).toHaveLength(1);
  });

  it('goes on while the server is away', async () => {
    const { events, state } = server();
    const store = await inHand();
    const writes = usePourWrites();
    state.isAway = true;
    writes.layDown(RUST, 12_000);
    writes.logPass(breath);
    await pause(30);
    expect(events).toEqual([]);
    expect(store.passes).toHaveLength(1);
    expect(store.layers.map((layer) => layer.data.mg)).toEqual([12_000]);
    expect(store.progress.phase).toBe('poured');
    state.isAway = false;
    for (let look = 0; look < 10 && store.unsent.length > 0; look += 1) await arrived(store);
    expect(events.map(({ kind }) => kind)).toEqual(['layer', 'pass']);
  });

  it('an event that cannot be is refused at its field', async () => {
    server();
    const store = await inHand();
    const writes = usePourWrites();
    expect(() => writes.logPass({ ...breath, distanceMm: 1 })).toThrow(/at least 0.5 cm/);
    expect(store.log).toEqual([]);
  });
});

describe('a correction', () => {
  it('takes the place and the time of what it corrects, and its paint', async () => {
    const { events } = server();
    const store = await inHand();
    const writes = usePourWrites();
    const first = writes.layDown(RUST, 25_000);
    writes.logPass(breath);
    writes.correct(first, { cupId: RUST, mg: 29_000 });
    expect(leftOf(store)).toBe(1_000);
    expect(store.events.map((event) => event.kind)).toEqual(['layer', 'pass']);
    expect(store.events[0]).toMatchObject({ at: first.at, insteadOf: first.id, data: { mg: 29_000 } });
    await arrived(store);
    expect(events).toHaveLength(3);
  });

  it('may not lay down more than the cup held before it', async () => {
    server();
    const store = await inHand();
    const writes = usePourWrites();
    const first = writes.layDown(RUST, 25_000);
    expect(() => writes.correct(first, { cupId: RUST, mg: CUP_MG + 1 })).toThrow(/holds 30\.0 g/);
    expect(leftOf(store)).toBe(5_000);
  });

  it('taken back, what stood before stands again', async () => {
    server();
    const store = await inHand();
    const writes = usePourWrites();
    const first = writes.logPass(breath);
    const second = writes.correct(first, { ...breath, seconds: 8 });
    expect(store.passes.map((pass) => pass.data.seconds)).toEqual([8]);
    writes.takeBackEvent(second.id);
    expect(store.passes.map((pass) => pass.data.seconds)).toEqual([3]);
    writes.takeBackEvent(first.id);
    expect(store.passes).toEqual([]);
  });
});

it('the pour keeps the plan it began with, once', async () => {
  const plan = {
    base: null,
    stacks: [],
    paths: [],
    passes: [],
    settings: undefined as unknown,
    planned: [],
    ticked: [],
    version: 3,
    createdAt: AT,
    updatedAt: AT,
  };
  const { USUAL_SETTINGS } = await import('@icy-ribbon/core/piece/plan');
  const { events } = server({ plan: { ...plan, settings: USUAL_SETTINGS } });
  const store = await inHand();
  const writes = usePourWrites();
  writes.logRoom({ temperatureC: 21, humidityPercent: null });
  writes.layDown(RUST, 1_000);
  writes.layDown(RUST, 1_000);
  await arrived(store);
  expect(events.map((event) => event.kind)).toEqual(['room', 'plan', 'layer', 'layer']);
  expect(events[1]!.data).not.toHaveProperty('version');
});

it('a piece that is gone is let go of', async () => {
  server();
  const store = await inHand();
  globalThis.fetch = (async () =>
    new Response(JSON.stringify({ type: 'about:blank', title: 'Not found', status: 404, detail: 'Gone.' }), {
      status: 404,
      headers: { 'Content-Type': 'application/problem+json' },
    })) as never;
  await expect(store.open(id(1))).rejects.toThrow('Gone.');
  expect(store.piece).toBeNull();
  expect(store.inHandId).toBeNull();
});

it('weighings typed faster than the server answers never meet each other', async () => {
  server();
  const store = await inHand();
  const [cup] = store.cups;
  await Promise.all([10_000, 20_000, 25_000].map((mg) => store.setActual(cup!.mix, id(11), mg)));
  expect(store.cups[0]!.mix).toMatchObject({ version: 4, additions: [{ mg: 25_000 }] });
});
