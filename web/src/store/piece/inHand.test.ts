import type { Piece } from '@icy-ribbon/contract';
import { ref } from 'vue';

const answers: ((piece: Partial<Piece>) => void)[] = [];
jest.mock('#api/client.ts', () => ({
  call: () => new Promise((resolve) => answers.push(resolve as never)),
}));

import { pieceInHand } from './inHand.ts';

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));
const piece = (name: string) => ({ id: 'p', name }) as Piece;
const waitFor = async (isSo: () => boolean) => {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 20));
};

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

it('a piece that is written to all the time is opened all the same, and read until nothing overtakes it', async () => {
  const shown = ref<Piece | null>(null);
  const hand = pieceInHand(ref<string | null>(null), shown);
  const opened = hand.open('p');
  for (let at = 0; at < 4; at += 1) {
    hand.missed();
    answers[at]!(piece(`${at}`));
    await settle();
  }
  await opened;
  expect([shown.value?.name, answers.length]).toEqual(['3', 5]);
  answers[4]!(piece('quiet'));
  await settle();
  expect(shown.value?.name).toBe('quiet');
});

it('fast hands: what is shown never goes back to an answer that a write has overtaken', async () => {
  const shown = ref<Piece | null>(piece('begun'));
  const hand = pieceInHand(ref<string | null>('p'), shown);
  const read = hand.reload();
  for (let at = 0; at < 6; at += 1) {
    await waitFor(() => answers.length === at + 1);
    hand.change({ name: `write ${at}` });
    answers[at]!(piece(`before write ${at}`));
    await settle();
    expect(shown.value?.name).toBe(`write ${at}`);
  }
  await waitFor(() => answers.length === 7);
  answers[6]!(piece('all of them'));
  await read;
  expect(shown.value?.name).toBe('all of them');
});

it('a late answer never takes the place of another piece', async () => {
  const shown = ref<Piece | null>(null);
  const hand = pieceInHand(ref<string | null>(null), shown);
  const first = hand.open('p');
  const second = hand.open('other');
  answers[1]!({ id: 'other', name: 'wanted' });
  answers[0]!(piece('late'));
  await Promise.all([first, second]);
  expect(shown.value?.name).toBe('wanted');
});

it('of two readings the one that was asked for later stays, whichever comes last', async () => {
  const shown = ref<Piece | null>(piece('begun'));
  const hand = pieceInHand(ref<string | null>('p'), shown);
  const both = [hand.reload(), hand.reload()];
  answers[1]!(piece('later'));
  await settle();
  answers[0]!(piece('earlier'));
  await Promise.all(both);
  expect(shown.value?.name).toBe('later');
});
