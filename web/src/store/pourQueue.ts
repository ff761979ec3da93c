import { api, pourEventSchema, type PourEvent } from '@icy-ribbon/contract';
import { useEventListener } from '@vueuse/core';
import { computed, getCurrentScope, onScopeDispose, shallowRef, type Ref } from 'vue';
import { call } from '../api/client.ts';
import { ApiProblem } from '../api/problem.ts';
import { browserKeeper, memoryKeeper, type EventKeeper, type KeptEvent } from './keptEvents.ts';

const AGAIN_MS = 4000;

/**
 * Checks an event by the contract before it is kept.
 *
 * @throws ApiProblem with the field paths
 */
export function checkedEvent(event: unknown): PourEvent {
  const checked = pourEventSchema.safeParse(event);
  if (checked.success) return checked.data;
  const errors = checked.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  throw new ApiProblem({
    type: 'about:blank',
    title: 'Some fields need a change',
    status: 422,
    detail: errors[0]?.message ?? 'Some fields need a change.',
    errors,
  });
}

const defaultKeeper = (): EventKeeper =>
  typeof indexedDB === 'undefined' || typeof BroadcastChannel === 'undefined'
    ? memoryKeeper()
    : browserKeeper();

/**
 * Events of a pour on their way to the server. Each is written to the browser's database as it is logged, so that a
 * closed tab, a dead battery or a second tab loses none; it is taken out when the server has it. Ids are made here,
 * so that sending one twice changes nothing there.
 *
 * @param pieceId the piece in hand
 * @param arrived told the server's log after each event that it took
 * @param elsewhere told when another tab has sent an event of this piece
 */
export function usePourQueue(
  pieceId: Readonly<Ref<string | null>>,
  arrived: (events: PourEvent[]) => void,
  elsewhere: () => void = () => {},
  keeper: EventKeeper = defaultKeeper(),
) {
  const kept = shallowRef<readonly KeptEvent[]>([]);
  /** Ids of what the browser's database holds for sure. */
  const written = shallowRef<ReadonlySet<string>>(new Set());
  /** Logged in this tab and still here, written down or not; and taken out, perhaps still written. */
  const own = new Map<string, KeptEvent>();
  /** How many events the server has taken: lists that were read before are old. */
  const delivered = shallowRef(0);
  const gone = new Set<string>();
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let looking: ReturnType<typeof setTimeout> | undefined;
  let counter = 0;
  /** The browser's clock may be set back in mid-pour: what is logged later never sorts earlier. */
  let lastMs = 0;

  function show(written: readonly KeptEvent[]): void {
    const all = new Map([...written.map((each) => [each.event.id, each] as const), ...own]);
    kept.value = [...all.values()]
      .filter(({ event }) => !gone.has(event.id))
      .sort((a, b) => (a.order < b.order ? -1 : 1));
  }

  /**
   * Reads what is kept, in the order it happened. A database that cannot be read, as just after a dead battery, is
   * asked again; until then this tab knows its own.
   */
  async function checkArrivals(): Promise<void> {
    const found = await keeper.all().catch(() => undefined);
    if (!found) {
      clearTimeout(looking);
      looking = setTimeout(() => void checkArrivals().then(send), AGAIN_MS);
      return;
    }
    written.value = new Set([...written.value, ...found.map(({ event }) => event.id)]);
    for (const { order } of found) lastMs = Math.max(lastMs, Number.parseInt(order, 10) || 0);
    show(found);
  }

  function write(item: KeptEvent): void {
    own.set(item.event.id, item);
    show(kept.value);
    // A locked or full database: the tab keeps it and sends it on.
    keeper.put(item).then(
      () => (written.value = new Set([...written.value, item.event.id])),
      () => {},
    );
  }

  function remove(eventId: string): void {
    gone.add(eventId);
    own.delete(eventId);
    show(kept.value);
    void keeper.remove(eventId).catch(() => {});
  }

  function add(piece: string, event: PourEvent): void {
    counter += 1;
    lastMs = Math.max(lastMs, Date.now());
    const order = `${String(lastMs).padStart(15, '0')}.${String(counter).padStart(5, '0')}`;
    write({ event, pieceId: piece, order, refused: null });
    void send();
  }

  /** Sends one after the other; stops while the server is away and comes back to it. */
  async function send(): Promise<void> {
    if (sending) return;
    sending = true;
    clearTimeout(timer);
    try {
      await read;
      for (;;) {
        const next = kept.value.find((each) => each.refused === null);
        if (!next) break;
        await deliver(next);
      }
    } catch {
      timer = setTimeout(() => void send(), AGAIN_MS);
    } finally {
      sending = false;
    }
  }

  async function deliver(item: KeptEvent): Promise<void> {
    const { event } = item;
    try {
      const { events } = await call(api.pours.append, { params: { pieceId: item.pieceId }, body: event });
      if (item.pieceId === pieceId.value) arrived(events);
      remove(event.id);
      delivered.value += 1;
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.problem.status < 400 || error.problem.status >= 500)
        throw error;
      write({ ...item, refused: error.message });
    }
  }

  /** What an earlier tab left goes out before what is logged now. */
  const read = checkArrivals();
  void send();
  if (getCurrentScope()) {
    const stop = keeper.onChange(({ eventId, pieceId: piece, isRemoved }) => {
      if (isRemoved) {
        gone.add(eventId);
        own.delete(eventId);
      }
      void checkArrivals();
      if (isRemoved && piece === pieceId.value) elsewhere();
    });
    if (typeof window !== 'undefined') useEventListener(window, 'online', () => void send());
    onScopeDispose(() => {
      stop();
      clearTimeout(timer);
      clearTimeout(looking);
    });
  }

  const ofPiece = computed(() => kept.value.filter((each) => each.pieceId === pieceId.value));
  return {
    add,
    /** Lets go of an event that the server would not take. */
    drop: remove,
    send,
    delivered,
    written,
    /** Not at the server yet. */
    waiting: computed(() => ofPiece.value.filter((each) => each.refused === null).map(({ event }) => event)),
    /** What the server would not take, with its reason. */
    refused: computed(() =>
      ofPiece.value.flatMap(({ event, refused }) => (refused === null ? [] : [{ event, reason: refused }])),
    ),
  };
}

export type PourQueue = ReturnType<typeof usePourQueue>;
