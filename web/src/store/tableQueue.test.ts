import { effectScope, ref, type Ref } from 'vue';
import type { Piece, PourEvent } from '@icy-ribbon/contract';
import { checkedEvent } from './piece/checkedEvent.ts';
import { pieceInHand } from './piece/inHand.ts';
import { sendWrite } from './piece/send.ts';
import { waitingEvents } from './piece/waiting.ts';
import { memoryKeeper, type KeptChange, type WriteKeeper } from './keptWrites.ts';
import { useTableQueue } from './tableQueue.ts';

const PIECE = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';
const event = (text: string): PourEvent =>
  checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'note', data: { text } });

const piece = { id: PIECE, events: [], mixes: [], readings: [] } as unknown as Piece;
type Queue = ReturnType<typeof useTableQueue>;

/** A queue of a piece; `arrived` is told the log after each event that the server took. */
function make(
  keeper: WriteKeeper,
  inHand: Ref<string | null> = ref(PIECE),
  arrived: (part: Partial<Piece>) => void = () => {},
): Queue {
  const hand = { ...pieceInHand(inHand, ref(piece)), change: arrived };
  return useTableQueue(inHand, sendWrite(hand), () => {}, keeper);
}
const addTo = (queue: Queue, logged: PourEvent) =>
  queue.add(PIECE, logged.id, { kind: 'event', event: logged });

/** A server that keeps a log by id; `mode` says how it behaves. */
function server() {
  const log = new Map<string, PourEvent>();
  const state = { mode: 'up' as 'up' | 'down' | 'refuses' | 'turned-away', status: 401 };
  const answer = (body: unknown, status: number, type = 'application/json') =>
    new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } });
  globalThis.fetch = (async (_url: string, init: RequestInit) => {
    if (state.mode === 'down') throw new TypeError('failed to fetch');
    if (state.mode === 'turned-away') {
      const problem = { type: 'about:blank', title: 'No', status: state.status, detail: 'Join first.' };
      return answer(problem, state.status, 'application/problem+json');
    }
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
  const queue = make(memoryKeeper(), ref(PIECE), arrived);
  addTo(queue, event('one'));
  addTo(queue, event('two'));
  expect(waitingEvents(queue.waiting.value).map((each) => each.kind === 'note' && each.data.text)).toEqual([
    'one',
    'two',
  ]);
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
  const again = () => make(keeper);
  const queue = again();
  addTo(queue, event('one'));
  jest.setSystemTime(Date.now() - 3_600_000);
  addTo(queue, event('two'));
  await settle(100);
  const afterReload = again();
  await settle(100);
  addTo(afterReload, event('three'));
  state.mode = 'up';
  await settle(60_000);
  const texts = [...log.values()].map((each) => each.kind === 'note' && each.data.text);
  expect(texts).toEqual(['one', 'two', 'three']);
});

it('while the server is away nothing is lost; it is sent when it is back, once', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const queue = make(memoryKeeper());
  addTo(queue, event('kept'));
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
  const first = make(keeper);
  addTo(first, event('before the battery died'));
  await settle(10);
  expect(await keeper.all()).toHaveLength(1);
  state.mode = 'up';
  const second = make(keeper);
  await settle(60_000);
  expect(log.size).toBe(1);
  expect(second.waiting.value).toEqual([]);
});

it('a database that cannot be read at first is asked again, and what it kept goes out', async () => {
  const { log } = server();
  const keeper = memoryKeeper();
  const first = event('kept');
  const write = { kind: 'event', event: first } as const;
  await keeper.put({ id: first.id, write, pieceId: PIECE, order: '1', refused: null });
  let tries = 0;
  const damaged = {
    ...keeper,
    all: () => (tries++ === 0 ? Promise.reject(new Error('being mended')) : keeper.all()),
  };
  make(damaged);
  await settle(100);
  expect(log.size).toBe(0);
  await settle(5000);
  expect([...log.values()].map((each) => each.kind === 'note' && each.data.text)).toEqual(['kept']);
});

it('two tabs that both send the same event make it once', async () => {
  const { log } = server();
  const keeper = memoryKeeper();
  const one = make(keeper);
  const other = make(keeper);
  addTo(one, event('both'));
  void other.send();
  await settle(1000);
  expect(log.size).toBe(1);
  expect(await keeper.all()).toEqual([]);
});

it('what the server will not take is kept with its reason until it is let go of', async () => {
  const { state } = server();
  state.mode = 'refuses';
  const queue = make(memoryKeeper());
  const refused = event('impossible');
  addTo(queue, refused);
  await settle(1000);
  expect(queue.refused.value).toMatchObject([{ id: refused.id, reason: 'The cup is empty.' }]);
  queue.drop(refused.id);
  expect(queue.refused.value).toEqual([]);
});

it('who waits for the server is told what it refused, and nothing of that is kept', async () => {
  const { state } = server();
  state.mode = 'refuses';
  const keeper = memoryKeeper();
  const queue = make(keeper);
  const impossible = event('impossible');
  addTo(queue, impossible);
  const told = queue.told(impossible.id).catch((error: unknown) => (error as Error).message);
  await settle(100);
  expect(await told).toBe('The cup is empty.');
  expect([queue.refused.value, await keeper.all()]).toEqual([[], []]);
});

it('who waits while it is away goes on after a moment: the write is kept and sent later', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const queue = make(memoryKeeper());
  const late = event('late');
  addTo(queue, late);
  let isOver = false;
  void queue.told(late.id).then(() => (isOver = true));
  await settle(1000);
  expect(isOver).toBe(false);
  await settle(1000);
  expect([isOver, queue.count.value]).toEqual([true, 1]);
  state.mode = 'up';
  await settle(60_000);
  expect([log.size, queue.count.value]).toEqual([1, 0]);
});

it('another piece keeps its own line', async () => {
  const { state } = server();
  state.mode = 'down';
  const inHand = ref<string | null>(PIECE);
  const queue = make(memoryKeeper(), inHand);
  addTo(queue, event('mine'));
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
  const queue = make(locked);
  addTo(queue, event('kept in mind'));
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
  const queue = make(slow);
  const logged = event('while the disk is busy');
  addTo(queue, logged);
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
  const kept = (text: string, order: string) => {
    const logged = event(text);
    const write = { kind: 'event', event: logged } as const;
    return { id: logged.id, write, pieceId: PIECE, order, refused: null };
  };
  await keeper.put(kept('second', '000000000000002.00001'));
  await keeper.put(kept('first', '000000000000001.00009'));
  state.mode = 'up';
  const queue = make(keeper);
  addTo(queue, event('third'));
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

describe('a sign-in that ends in mid-pour', () => {
  it.each([401, 429, 408])(
    '(%i) is no refusal: what is logged waits, in order, and goes out afterwards',
    async (status) => {
      const { log, state } = server();
      state.mode = 'turned-away';
      state.status = status;
      const keeper = memoryKeeper();
      const queue = make(keeper);
      const told: unknown[] = [];
      for (const text of ['one', 'two', 'three']) {
        const logged = event(text);
        addTo(queue, logged);
        void queue.told(logged.id).catch((error: unknown) => told.push(error));
      }
      await settle(60_000);
      expect(told).toEqual([]);
      expect([queue.refused.value, queue.count.value, log.size]).toEqual([[], 3, 0]);
      expect(await keeper.all()).toHaveLength(3);
      // The page is closed and opened again; the device joins anew.
      const again = make(keeper);
      state.mode = 'up';
      await settle(60_000);
      expect(again.count.value).toBe(0);
      expect([...log.values()].map((each) => each.kind === 'note' && each.data.text)).toEqual([
        'one',
        'two',
        'three',
      ]);
    },
  );
});

it('what was refused can be tried again, and goes out when nothing hinders it', async () => {
  const { log, state } = server();
  state.mode = 'refuses';
  const keeper = memoryKeeper();
  const queue = make(keeper);
  const logged = event('early');
  addTo(queue, logged);
  await settle(1000);
  expect(queue.refused.value).toMatchObject([{ id: logged.id, write: { event: logged } }]);
  queue.retry(logged.id);
  await settle(1000);
  expect(queue.refused.value).toHaveLength(1);
  state.mode = 'up';
  queue.retry(logged.id);
  await settle(1000);
  expect([queue.refused.value, log.size, await keeper.all()]).toEqual([[], 1, []]);
});

it('an entry of a tab that was closed is sent by another that is open', async () => {
  const { log, state } = server();
  state.mode = 'down';
  const listeners = new Set<(change: KeptChange) => void>();
  const shared = memoryKeeper();
  /** As a tab of its own: it hears what the others write. */
  const tab = (): WriteKeeper => {
    const hears = new Set<(change: KeptChange) => void>();
    const tell = (change: KeptChange) => listeners.forEach((listen) => hears.has(listen) || listen(change));
    return {
      ...shared,
      async put(kept) {
        await shared.put(kept);
        tell({ id: kept.id, pieceId: kept.pieceId, isRemoved: false });
      },
      onChange(changed) {
        listeners.add(changed);
        hears.add(changed);
        return () => listeners.delete(changed);
      },
    };
  };
  const scope = effectScope();
  scope.run(() => make(tab()));
  const closing = effectScope();
  const closed = closing.run(() => make(tab()))!;
  addTo(closed, event('of the closed tab'));
  await settle(100);
  closing.stop();
  state.mode = 'up';
  await settle(30_000);
  expect(log.size).toBe(1);
  scope.stop();
});
