import type { Piece } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import type { Ref } from 'vue';
import { call } from '#api/client.ts';
import { ApiProblem } from '#api/problem.ts';

/** The piece in hand as the server gave it, and how parts of it are put in their new state. */
export interface InHand {
  readonly piece: Ref<Piece | null>;
  /** @throws Error when no piece is in hand */
  current(): Piece;
  change(part: Partial<Piece>): void;
  /** The server has taken a write whose answer had no piece to go into. */
  missed(): void;
  /** Takes a piece in hand; a piece that is gone is let go of. */
  open(id: string): Promise<void>;
  reload(): Promise<void>;
  letGo(): void;
}

/** Read again so often at once when it is written to all the time; then with a pause each. */
const QUICK_TRIES = 4;
const PAUSE_MS = 500;

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

/**
 * @param inHandId outlives the page
 * @param piece the record, null until it was read
 */
export function pieceInHand(inHandId: Ref<string | null>, piece: Ref<Piece | null>): InHand {
  function current(): Piece {
    if (!piece.value) throw new Error('no piece in hand');
    return piece.value;
  }

  function letGo(): void {
    inHandId.value = null;
    piece.value = null;
  }

  /** Counts what became newer: an answer that was on its way meanwhile is old. */
  let newer = 0;
  /** Counts what was asked for: an answer to what was asked before the one that is shown is old, too. */
  let [asked, shownAsked] = [0, 0];

  async function open(id: string): Promise<void> {
    inHandId.value = id;
    try {
      for (let tries = 1; ; tries += 1) {
        const before = newer;
        const mine = (asked += 1);
        const read = await call(api.pieces.get, { params: { id } });
        // Another was opened meanwhile: that one is wanted.
        if (inHandId.value !== id || mine < shownAsked) return;
        const isOld = newer !== before;
        // What is shown already never goes back: its next write would name a version that is gone.
        if (isOld && (tries < QUICK_TRIES || piece.value?.id === id)) {
          if (tries >= QUICK_TRIES) await pause();
          continue;
        }
        piece.value = read;
        shownAsked = mine;
        if (isOld) open(id).catch(() => {});
        return;
      }
    } catch (error) {
      if (error instanceof ApiProblem && error.problem.status === 404) letGo();
      throw error;
    }
  }

  return {
    piece,
    current,
    open,
    letGo,
    change(part) {
      newer += 1;
      piece.value = { ...current(), ...part };
    },
    missed: () => void (newer += 1),
    async reload() {
      if (inHandId.value) await open(inHandId.value);
    },
  };
}
