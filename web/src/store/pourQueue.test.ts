import { ref } from 'vue';
import type { PourEvent } from '@icy-ribbon/contract';
import { checkedEvent, memoryStorage, usePourQueue } from './pourQueue.ts';

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
  const queue = usePourQueue(ref(PIECE), arrived, () => {}, memoryStorage());
  queue.add(PIECE, event('one'));
  queue.add(PIECE, event('two'));
  expect(queue.waiting.value.map((each) => each.kind === 'note' && each.data.text)).toEqual(['one', 'two']);
  await settle(100);
  expect([...log.values()].map((each) => each.kind === 'note' && each.data.text)).toEqual(['one', 'two']);
  expect(queue.waiting.value).toEqual([]);
  expect(arrived).toHaveBeenCalledTimes(2);
});

it('while the server is away nothing is lost; it is sent when it is back, once', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    memoryStorage(),
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
  const storage = memoryStorage();
  state.mode = 'down';
  const first = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    storage,
  );
  first.add(PIECE, event('before the battery died'));
  const sent = storage.length;
  expect(sent).toBe(1);
  state.mode = 'up';
  const second = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    storage,
  );
  await settle(60_000);
  expect(log.size).toBe(1);
  expect(second.waiting.value).toEqual([]);
});

it('two tabs that both send the same event make it once', async () => {
  const { log } = server();
  const storage = memoryStorage();
  const one = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    storage,
  );
  const other = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    storage,
  );
  one.add(PIECE, event('both'));
  void other.send();
  await settle(1000);
  expect(log.size).toBe(1);
  expect(storage.length).toBe(0);
});

it('what the server will not take is kept with its reason until it is let go of', async () => {
  const { state } = server();
  state.mode = 'refuses';
  const queue = usePourQueue(
    ref(PIECE),
    () => {},
    () => {},
    memoryStorage(),
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
    memoryStorage(),
  );
  queue.add(PIECE, event('mine'));
  inHand.value = '11111111-1f5b-4b61-9d2c-6f8d1f3f9a10';
  expect(queue.waiting.value).toEqual([]);
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
