import { fillWords, stageWords, toComeWords } from './cup.ts';

const grams = (mg: number): string => `${(mg / 1000).toFixed(1)}\u00a0g`;
const mix = {
  ingredients: ['Flow conditioner', 'White', 'Water'].map((name) => ({ material: { name } })),
};
const cup = (phase: 'planned' | 'weighing' | 'mixed', toComeMg: number[]) => ({
  mix,
  state: { phase, toComeMg },
});

it('an unfinished cup says what it lacks, the others what they are', () => {
  expect(fillWords(cup('weighing', [0, 0, 5000]), grams)).toBe('unfinished, 5.0\u00a0g to come');
  expect(fillWords(cup('planned', [30_000, 15_000, 5000]), grams)).toBe('to be weighed in');
  expect(fillWords(cup('mixed', [0, 0, 0]), grams)).toBe('mixed');
});

it('only what is all in is already as thick as it will be', () => {
  expect(stageWords('weighing', 'fading')).toBe('will be fading');
  expect(stageWords('mixed', 'fading')).toBe('fading');
});

it('lists what is to come, and nothing once all is in', () => {
  expect(toComeWords(cup('weighing', [0, 15_000, 5000]), grams)).toBe(
    '15.0\u00a0g White and 5.0\u00a0g Water',
  );
  expect(toComeWords(cup('mixed', [0, 0, 0]), grams)).toBe('');
});
