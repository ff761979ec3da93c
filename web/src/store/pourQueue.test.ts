import { ref } from 'vue';
import type { PourEvent } from '@icy-ribbon/contract';
import { memoryKeeper } from './keptEvents.ts';
import { checkedEvent, usePourQueue } from './pourQueue.ts';

const PIECE = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';
const event = (text: string): PourEvent =>
  checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'note', data: { text } });

/** A server that keeps a log by id; `mode` says how it behaves. */
function server() {
  const log = new Map<string, PourEvent>();
  const state = { mode: 'up' as 'up' | 'down' | 'refuses' };
  const answer = (body: unknown, status: number, type = 'application/json') =>
    new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } });
  globalThis.fetch = (async (_url: string, init: RequestInit) => {
    if (state.mode === 'down') throw new TypeError('failed to fetch');
    if (state.mode === 'refuses') {
      const problem = { type: 'about:blank', title: 'No', status: 422, detail: 'The cup is empty.' };
      return answer(problem, 422, 'application/problem+json');
    }
    const sent = JSON.parse(String(init.body)) as PourEvent;
    log.set(sent.id, sent);
    return answer({ events: [...log.values()] }, 201);
  }) as never;
  return { log, state };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
const settle = (ms: number) => jest.advanceTimersByTimeAsync(ms);

it('what is logged counts at once and arrives in order', async () => {
  const { log } = server();
  const arrived = jest.fn();
  const queue = usePourQueue(ref(PIECE), arrived, () => {}, memoryKeeper());
  queue.add(PIECE, event('one'));
  queue.add(PIECE, event('two'));
  expect(queue.waiting.value.map((each) => each.kind === 'note' && each.data.text)).toEqual(['one', 'two']);
  await settle(100);
  expect([...log.values()].map((each) => each.kind === 'note' && each.data.text)).toEqual(['one', 'two']);
  expect(queue.waiting.value).toEqual([]);
  expect(queue.delivered.value).toBe(2);
  expect(arrived).toHaveBeenCalledTimes(2);
});

it('a clock that is set back in mid-pour turns no order round', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const keeper = memoryKeeper();
  const make = () =>
    usePourQueue(
      ref(PIECE),
      () => {},
      () => {},
      keeper,
    );
  const queue = make();
  queue.add(PIECE, event('one'));
  jest.setSystemTime(Date.now() - 3_600_000);
  queue.add(PIECE, event('two'));
  await settle(100);
  const afterReload = make();
  await settle(100);
  afterReload.add(PIECE, event('three'));
  state.mode = 'up';
  await settle(60_000);
  const texts = [...log.values()].map((each) => each.kind === 'note' && each.data.text);
  expect(texts).toEqual(['one', 'two', 'three']);
});

it('while the server is away nothing is lost; it is sent when it is back, once', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    memoryKeeper(),
  );
  queue.add(PIECE, event('kept'));
  await settle(60_000);
  expect(queue.waiting.value).toHaveLength(1);
  state.mode = 'up';
  await settle(60_000);
  expect(queue.waiting.value).toEqual([]);
  expect(log.size).toBe(1);
});

it('a closed tab loses nothing: the next one finds what was kept', async () => {
  const { log, state } = server();
  const keeper = memoryKeeper();
  state.mode = 'down';
  const first = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    keeper,
  );
  first.add(PIECE, event('before the battery died'));
  await settle(10);
  expect(await keeper.all()).toHaveLength(1);
  state.mode = 'up';
  const second = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    keeper,
  );
  await settle(60_000);
  expect(log.size).toBe(1);
  expect(second.waiting.value).toEqual([]);
});

it('a database that cannot be read at first is asked again, and what it kept goes out', async () => {
  const { log } = server();
  const keeper = memoryKeeper();
  await keeper.put({ event: event('kept'), pieceId: PIECE, order: '1', refused: null });
  let tries = 0;
  const damaged = {
    ...keeper,
    all: () => (tries++ === 0 ? Promise.reject(new Error('being mended')) : keeper.all()),
  };
  usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    damaged,
  );
  await settle(100);
  expect(log.size).toBe(0);
  await settle(5000);
  expect([...log.values()].map((each) => each.kind === 'note' && each.data.text)).toEqual(['kept']);
});

it('two tabs that both send the same event make it once', async () => {
  const { log } = server();
  const keeper = memoryKeeper();
  const one = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    keeper,
  );
  const other = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    keeper,
  );
  one.add(PIECE, event('both'));
  void other.send();
  await settle(1000);
  expect(log.size).toBe(1);
  expect(await keeper.all()).toEqual([]);
});

it('what the server will not take is kept with its reason until it is let go of', async () => {
  const { state } = server();
  state.mode = 'refuses';
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    memoryKeeper(),
  );
  const refused = event('impossible');
  queue.add(PIECE, refused);
  await settle(1000);
  expect(queue.refused.value).toMatchObject([{ event: { id: refused.id }, reason: 'The cup is empty.' }]);
  queue.drop(refused.id);
  expect(queue.refused.value).toEqual([]);
});

it('another piece keeps its own line', async () => {
  const { state } = server();
  state.mode = 'down';
  const inHand = ref<string | null>(PIECE);
  const queue = usePourQueue(
    inHand,
    () => {},
    () => {},
    memoryKeeper(),
  );
  queue.add(PIECE, event('mine'));
  inHand.value = '11111111-1f5b-4b61-9d2c-6f8d1f3f9a10';
  expect(queue.waiting.value).toEqual([]);
});

it('where nothing can be written, the tab itself keeps the event and sends it', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const locked = {
    ...memoryKeeper(),
    all: () => Promise.reject(new Error()),
    put: () => Promise.reject(new Error()),
  };
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    locked,
  );
  queue.add(PIECE, event('kept in mind'));
  await settle(5000);
  expect(queue.waiting.value).toHaveLength(1);
  state.mode = 'up';
  await settle(60_000);
  expect([log.size, queue.waiting.value.length]).toEqual([1, 0]);
});

it('says which events are written down for sure', async () => {
  const { state } = server();
  state.mode = 'down';
  let finish = () => {};
  const slow = { ...memoryKeeper(), put: () => new Promise<void>((done) => (finish = done)) };
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    slow,
  );
  const logged = event('while the disk is busy');
  queue.add(PIECE, logged);
  await settle(100);
  expect(queue.waiting.value).toHaveLength(1);
  expect(queue.written.value.has(logged.id)).toBe(false);
  finish();
  await settle(10);
  expect(queue.written.value.has(logged.id)).toBe(true);
});

it('events of several days go out in the order they were logged', async () => {
  const { log, state } = server();
  const keeper = memoryKeeper();
  const kept = (text: string, order: string) => ({
    event: event(text),
    pieceId: PIECE,
    order,
    refused: null,
  });
  await keeper.put(kept('second', '000000000000002.00001'));
  await keeper.put(kept('first', '000000000000001.00009'));
  state.mode = 'up';
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    keeper,
  );
  queue.add(PIECE, event('third'));
  await settle(1000);
  const texts = [...log.values()].map((each) => each.kind === 'note' && each.data.text);
  expect(texts).toEqual(['first', 'second', 'third']);
});

it('an event that cannot be is refused at its field before it is kept', () => {
  const bad = {
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    kind: 'spin',
    data: { rpm: -3, seconds: 5, way: 'both' },
  };
  expect(() => checkedEvent(bad)).toThrow(/turns a minute/);
});
