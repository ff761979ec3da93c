import { useEventListener } from '@vueuse/core';
import { computed, getCurrentScope, onScopeDispose, shallowReactive, shallowRef, watch, type Ref } from 'vue';
import { ApiProblem } from '../api/problem.ts';
import {
  browserKeeper,
  memoryKeeper,
  type KeptWrite,
  type TableWrite,
  type WriteKeeper,
} from './keptWrites.ts';

const AGAIN_MS = 4000;
/** Who is not let in, or asks too often, asks less often. */
const LATER_MS = 10_000;
/** What another tab logged is its own to send for so long; then it may have been closed. */
const OTHERS_MS = 8000;
/** As long as this a write is waited for before it counts as on its way. */
const SOON_MS = 1500;

const defaultKeeper = (): WriteKeeper =>
  typeof indexedDB === 'undefined' || typeof BroadcastChannel === 'undefined'
    ? memoryKeeper()
    : browserKeeper();

/** What the server would not take, with its reason. */
export interface RefusedWrite extends Pick<KeptWrite, 'id' | 'pieceId' | 'write'> {
  readonly reason: string;
}

const TURNED_AWAY: ReadonlySet<number> = new Set([401, 408, 425, 429]);
/**
 * Whether a problem is about what was sent. That a device is signed out, or asked too often or too slowly, says nothing
 * of the entry.
 */
const isVerdict = ({ problem: { status } }: ApiProblem): boolean =>
  status >= 400 && status < 500 && !TURNED_AWAY.has(status);

/** Sends a write to the server; gives what is to be done with its answer. */
export type Deliver = (item: KeptWrite) => Promise<() => void>;

/**
 * What was done at the table (weighed, raced, poured), on its way to the server. Each write goes into the browser's
 * database as it is done, so that a closed tab, a dead battery or a second tab loses none; it is taken out when the
 * server has it. Ids are made here, so that sending one twice changes nothing there.
 *
 * @param pieceId the piece in hand
 * @param deliver sends one; what it gives is called when it is of the piece in hand
 * @param elsewhere told when another tab has sent a write of this piece
 */
export function useTableQueue(
  pieceId: Readonly<Ref<string | null>>,
  deliver: Deliver,
  elsewhere: () => void = () => {},
  keeper: WriteKeeper = defaultKeeper(),
) {
  const kept = shallowRef<readonly KeptWrite[]>([]);
  /** Ids of what the browser's database holds for sure. */
  const written = shallowRef<ReadonlySet<string>>(new Set());
  /** Logged in this tab and still here, written down or not; and taken out, perhaps still written. */
  const own = new Map<string, KeptWrite>();
  /** What became of the writes of this tab: the problem, null when the server has it. */
  const outcomes = shallowReactive(new Map<string, ApiProblem | null>());
  /** How many writes the server has taken: lists that were read before are old. */
  const delivered = shallowRef(0);
  const gone = new Set<string>();
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let looking: ReturnType<typeof setTimeout> | undefined;
  let counter = 0;
  /** The browser's clock may be set back in mid-pour: what is logged later never sorts earlier. */
  let lastMs = 0;

  function show(written: readonly KeptWrite[]): void {
    const all = new Map([...written.map((each) => [each.id, each] as const), ...own]);
    kept.value = [...all.values()]
      .filter(({ id }) => !gone.has(id))
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
    written.value = new Set([...written.value, ...found.map(({ id }) => id)]);
    for (const { order } of found) lastMs = Math.max(lastMs, Number.parseInt(order, 10) || 0);
    show(found);
  }

  function write(item: KeptWrite): void {
    own.set(item.id, item);
    show(kept.value);
    // A locked or full database: the tab keeps it and sends it on.
    keeper.put(item).then(
      () => (written.value = new Set([...written.value, item.id])),
      () => {},
    );
  }

  function remove(id: string): void {
    gone.add(id);
    own.delete(id);
    show(kept.value);
    void keeper.remove(id).catch(() => {});
  }

  function add(piece: string, id: string, what: TableWrite): void {
    counter += 1;
    lastMs = Math.max(lastMs, Date.now());
    const order = `${String(lastMs).padStart(15, '0')}.${String(counter).padStart(5, '0')}`;
    write({ id, write: what, pieceId: piece, order, refused: null });
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
        await deliverOne(next);
      }
    } catch (error) {
      const isTurnedAway = error instanceof ApiProblem && TURNED_AWAY.has(error.problem.status);
      timer = setTimeout(() => void send(), isTurnedAway ? LATER_MS : AGAIN_MS);
    } finally {
      sending = false;
    }
  }

  async function deliverOne(item: KeptWrite): Promise<void> {
    try {
      const arrived = await deliver(item);
      if (item.pieceId === pieceId.value) arrived();
      remove(item.id);
      delivered.value += 1;
      outcomes.set(item.id, null);
    } catch (error) {
      if (!(error instanceof ApiProblem) || !isVerdict(error)) throw error;
      write({ ...item, refused: error.message });
      outcomes.set(item.id, error);
    }
  }

  /**
   * Waits a moment for what the server says of a write; one that is still on its way then is kept and counts.
   *
   * @throws ApiProblem when the server would not take it: nothing of it is kept
   */
  async function told(id: string): Promise<void> {
    await new Promise<void>((resolve) => {
      const late = setTimeout(done, SOON_MS);
      const stop = watch(
        () => outcomes.has(id),
        (isKnown) => isKnown && done(),
        { immediate: true, flush: 'sync' },
      );
      function done(): void {
        clearTimeout(late);
        // Known at once, it is not there to be stopped yet.
        queueMicrotask(() => stop());
        resolve();
      }
    });
    const problem = outcomes.get(id);
    outcomes.delete(id);
    if (!problem) return;
    remove(id);
    throw problem;
  }

  /** What an earlier tab left goes out before what is logged now. */
  const read = checkArrivals();
  void send();
  if (getCurrentScope()) {
    const stop = keeper.onChange(({ id, pieceId: piece, isRemoved }) => {
      if (isRemoved) {
        gone.add(id);
        own.delete(id);
      }
      void checkArrivals();
      if (!isRemoved && !sending) {
        clearTimeout(timer);
        timer = setTimeout(() => void send(), OTHERS_MS);
      }
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
    told,
    /** Lets go of a write that the server would not take. */
    drop: remove,
    /** Sends one again that the server would not take. */
    retry(id: string): void {
      const item = kept.value.find((each) => each.id === id);
      if (!item) return;
      outcomes.delete(id);
      write({ ...item, refused: null });
      void send();
    },
    send,
    delivered,
    written,
    /** Not at the server yet. */
    waiting: computed(() => ofPiece.value.filter((each) => each.refused === null)),
    /** Of all pieces. */
    refused: computed(() =>
      kept.value.flatMap(({ id, pieceId: piece, write: what, refused }): RefusedWrite[] =>
        refused === null ? [] : [{ id, pieceId: piece, write: what, reason: refused }],
      ),
    ),
    /** Writes of all pieces that wait here. */
    count: computed(() => kept.value.filter((each) => each.refused === null).length),
  };
}

export type TableQueue = ReturnType<typeof useTableQueue>;
