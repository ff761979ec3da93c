import { api, pourEventSchema, type PourEvent } from '@icy-ribbon/contract';
import { useEventListener } from '@vueuse/core';
import { computed, getCurrentScope, onScopeDispose, shallowRef, type Ref } from 'vue';
import { call } from '../api/client.ts';
import { ApiProblem } from '../api/problem.ts';

const PREFIX = 'icy-ribbon.pour.';
const AGAIN_MS = 4000;

/** An event that waits in the browser's storage; `refused` says why the server would not take it. */
interface Kept {
  readonly event: PourEvent;
  readonly refused: string | null;
}

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

/** What is used of the browser's storage. */
export type KeyStore = Pick<Storage, 'length' | 'key' | 'getItem' | 'setItem' | 'removeItem'>;

/** The browser's storage; where it is locked, the page's own memory, which at least outlives a broken line. */
function browserStorage(): KeyStore {
  return typeof localStorage === 'undefined' ? memoryStorage() : localStorage;
}

export function memoryStorage(): KeyStore {
  const kept = new Map<string, string>();
  return {
    get length() {
      return kept.size;
    },
    key: (index) => [...kept.keys()][index] ?? null,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}

/**
 * Events of a pour on their way to the server. Each is written to the browser's storage before anything else,
 * under a key of its own, so that a closed tab, a dead battery or a second tab loses none; it is taken out when the
 * server has it. Ids are made here, so that sending one twice changes nothing there.
 *
 * @param pieceId the piece in hand
 * @param arrived told the server's log after each event that it took
 * @param elsewhere told when another tab has sent an event of this piece
 */
export function usePourQueue(
  pieceId: Readonly<Ref<string | null>>,
  arrived: (events: PourEvent[]) => void,
  elsewhere: () => void = () => {},
  storage: KeyStore = browserStorage(),
) {
  const kept = shallowRef<readonly (Kept & { pieceId: string; key: string })[]>([]);
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let counter = 0;

  /** Reads what is kept, in the order it happened. */
  function look(): void {
    const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? '')
      .filter((key) => key.startsWith(PREFIX))
      .sort();
    kept.value = keys.flatMap((key) => {
      try {
        const found = JSON.parse(storage.getItem(key) ?? '') as Kept;
        return [{ ...found, key, pieceId: key.slice(PREFIX.length).split('|')[0]! }];
      } catch {
        return [];
      }
    });
  }

  function add(piece: string, event: PourEvent): void {
    counter += 1;
    const order = `${String(Date.now()).padStart(15, '0')}.${String(counter).padStart(5, '0')}`;
    storage.setItem(`${PREFIX}${piece}|${order}|${event.id}`, JSON.stringify({ event, refused: null }));
    look();
    void send();
  }

  /** Sends one after the other; stops while the server is away and comes back to it. */
  async function send(): Promise<void> {
    if (sending) return;
    sending = true;
    clearTimeout(timer);
    try {
      for (;;) {
        look();
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

  async function deliver({ key, pieceId: piece, event }: { key: string; pieceId: string; event: PourEvent }) {
    try {
      const { events } = await call(api.pours.append, { params: { pieceId: piece }, body: event });
      if (piece === pieceId.value) arrived(events);
      storage.removeItem(key);
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.problem.status < 400 || error.problem.status >= 500)
        throw error;
      storage.setItem(key, JSON.stringify({ event, refused: error.message }));
    }
    look();
  }

  /** Lets go of an event that the server would not take. */
  function drop(eventId: string): void {
    for (const { key, event } of kept.value) if (event.id === eventId) storage.removeItem(key);
    look();
  }

  look();
  void send();
  if (getCurrentScope()) {
    if (typeof window !== 'undefined') {
      useEventListener(window, 'storage', (event: StorageEvent) => {
        if (!event.key?.startsWith(PREFIX)) return;
        look();
        if (event.newValue === null && event.key.startsWith(`${PREFIX}${pieceId.value}|`)) elsewhere();
      });
      useEventListener(window, 'online', () => void send());
    }
    onScopeDispose(() => clearTimeout(timer));
  }

  const ofPiece = computed(() => kept.value.filter((each) => each.pieceId === pieceId.value));
  return {
    add,
    drop,
    send,
    /** Not at the server yet. */
    waiting: computed(() => ofPiece.value.filter((each) => each.refused === null).map(({ event }) => event)),
    /** What the server would not take, with its reason. */
    refused: computed(() =>
      ofPiece.value.flatMap(({ event, refused }) => (refused === null ? [] : [{ event, reason: refused }])),
    ),
  };
}
