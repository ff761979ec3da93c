import { api, type Piece } from '@icy-ribbon/contract';
import type { Ref } from 'vue';
import { call } from '../../api/client.ts';
import { ApiProblem } from '../../api/problem.ts';

/** The piece in hand as the server gave it, and how parts of it are put in their new state. */
export interface InHand {
  readonly piece: Ref<Piece | null>;
  /** @throws Error when no piece is in hand */
  current(): Piece;
  change(part: Partial<Piece>): void;
  /** Takes a piece in hand; a piece that is gone is let go of. */
  open(id: string): Promise<void>;
  reload(): Promise<void>;
  letGo(): void;
}

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

  async function open(id: string): Promise<void> {
    inHandId.value = id;
    try {
      piece.value = await call(api.pieces.get, { params: { id } });
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
    change: (part) => (piece.value = { ...current(), ...part }),
    async reload() {
      if (inHandId.value) await open(inHandId.value);
    },
  };
}
