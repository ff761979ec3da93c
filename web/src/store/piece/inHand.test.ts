import type { Piece } from '@icy-ribbon/contract';
import { ref } from 'vue';

const answers: ((piece: Partial<Piece>) => void)[] = [];
jest.mock('../../api/client.ts', () => ({
  call: () => new Promise((resolve) => answers.push(resolve as never)),
}));

import { pieceInHand } from './inHand.ts';

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));
const piece = (name: string) => ({ id: 'p', name }) as Piece;

beforeEach(() => (answers.length = 0));

it('an answer that was on its way while a write arrived is old: the piece is read again', async () => {
  const shown = ref<Piece | null>(null);
  const hand = pieceInHand(ref<string | null>(null), shown);
  const opened = hand.open('p');
  hand.missed();
  answers[0]!(piece('before the write'));
  await settle();
  expect([shown.value, answers.length]).toEqual([null, 2]);
  answers[1]!(piece('with it'));
  await opened;
  expect(shown.value?.name).toBe('with it');

  const again = hand.reload();
  hand.change({ name: 'newer' });
  answers[2]!(piece('old'));
  await settle();
  expect(shown.value?.name).toBe('newer');
  answers[3]!(piece('newest'));
  await again;
  expect(shown.value?.name).toBe('newest');
});

it('a piece that is written to all the time is shown all the same, and a late answer never takes the place of another piece', async () => {
  const shown = ref<Piece | null>(null);
  const hand = pieceInHand(ref<string | null>(null), shown);
  const opened = hand.open('p');
  for (let at = 0; at < 4; at += 1) {
    hand.missed();
    answers[at]!(piece(`${at}`));
    await settle();
  }
  await opened;
  expect(shown.value?.name).toBe('3');
  const first = hand.open('p');
  const second = hand.open('other');
  answers[5]!({ id: 'other', name: 'wanted' });
  answers[4]!(piece('late'));
  await Promise.all([first, second]);
  expect(shown.value?.name).toBe('wanted');
});
