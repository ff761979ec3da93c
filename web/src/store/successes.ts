import type { Piece, PieceSummary } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import type { Success } from '@icy-ribbon/core/judgement/pouring';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { usePourNumbers } from './pourNumbers.ts';

/** From this rating on a pour went well. */
const WELL = 4;
const MOST = 100;

/** One's own pours that went well, the newest first: what they had is held against the pour that is being done. */
export const useSuccesses = defineStore('successes', () => {
  const numbers = usePourNumbers();
  const pieces = shallowRef<readonly PieceSummary[]>([]);

  async function load(): Promise<void> {
    const [page] = await Promise.all([
      call(api.pieces.list, { query: { ratingFrom: WELL, pageSize: MOST } }),
      numbers.load(),
    ]);
    pieces.value = page.items;
  }

  /** Those of a piece's technique, without the piece itself. */
  function of({ id, technique }: Pick<Piece, 'id' | 'technique'>): Success[] {
    return pieces.value
      .filter((piece) => piece.technique === technique && piece.id !== id)
      .flatMap((piece): Success[] => {
        const own = numbers.pours.find(({ pieceId }) => pieceId === piece.id);
        if (!own) return [];
        const seconds = piece.passes.reduce((sum, pass) => sum + pass.seconds, 0);
        const faceDm2 = paintedArea(piece.support).faceCm2 / 100;
        return [
          {
            airSPerDm2: seconds > 0 ? seconds / faceDm2 : null,
            waitSeconds: own.numbers.waitSeconds ?? null,
            spinTurns: own.numbers.spinTurns ?? null,
          },
        ];
      });
  }

  return { load, of };
});
