import type { Mix, Reading } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { call } from '#api/client.ts';
import type { Deliver } from '../tableQueue.ts';
import type { InHand } from './inHand.ts';

/** Puts a cup as the server has it in place of what the piece in hand had. */
export function replaceMix(hand: InHand, mix: Mix): void {
  const found = hand.current();
  if (mix.pieceId !== found.id) return;
  const mixes = found.mixes.some((each) => each.id === mix.id)
    ? found.mixes.map((each) => (each.id === mix.id ? mix : each))
    : [...found.mixes, mix];
  hand.change({ mixes: mixes.filter((each) => each.deletedAt === null) });
}

export const setReadings = (hand: InHand, readings: Reading[]): void => hand.change({ readings });

/** Sends what was done at the table; its answer is put into the piece in hand. */
export function sendWrite(hand: InHand): Deliver {
  const ifThere = (put: () => void) => () => (hand.piece.value ? put() : hand.missed());
  return async ({ pieceId, write }) => {
    switch (write.kind) {
      case 'event': {
        const { events } = await call(api.pours.append, { params: { pieceId }, body: write.event });
        return ifThere(() => hand.change({ events }));
      }
      case 'addition': {
        const mix = await call(api.mixes.add, { params: { id: write.cupId }, body: write.addition });
        return ifThere(() => replaceMix(hand, mix));
      }
      case 'take-back': {
        const { cupId: id, additionId } = write;
        const mix = await call(api.mixes.takeBack, { params: { id, additionId } });
        return ifThere(() => replaceMix(hand, mix));
      }
      case 'readings': {
        const { readings, at } = write;
        const answer = await call(api.readings.add, { params: { pieceId }, body: { readings, at } });
        return ifThere(() => setReadings(hand, answer.readings));
      }
    }
  };
}
