import { DRILL_NAMES } from '@icy-ribbon/core/drill/schedule';
import { DRILL_WORDS, dueWords, eyeWords, scoreWords } from './drill.ts';

it('every drill has its words', () => {
  for (const name of DRILL_NAMES) {
    const { label, does, how } = DRILL_WORDS[name];
    for (const words of [label, does, how]) expect(words).toMatch(/\w/);
  }
});

it.each([
  [null, true, 'not played yet'],
  ['2026-03-01T08:00:00.000Z', true, 'due'],
  ['2026-03-02T08:00:00.000Z', false, 'due tomorrow'],
  ['2026-03-06T08:00:00.000Z', false, 'due in 5 days'],
])('at %p (due: %p) is "%s"', (at, isDue, words) => {
  expect(dueWords({ everyDays: 1, at, isDue }, new Date('2026-03-01T12:00:00.000Z'))).toBe(words);
});

it('a score is told by what is to be done', () => {
  expect([95, 70, 20].map(scoreWords)).toEqual(['it sits', 'it passes', 'once more tomorrow']);
});

it('an eye is told by its factor, its range and its spread', () => {
  const eye = { ln: Math.log(1.5), sdLn: 0.2, spreadLn: Math.log(1.6), named: 24 };
  expect(eyeWords(eye)).toBe(
    'You call paint 1.50 times thicker than it is (nine in ten: 1.08 to 2.08 times); a single word strays by a factor of 1.6. From 24 that were named.',
  );
  expect(eyeWords({ ...eye, ln: -0.4 })).toContain('thinner');
  expect(eyeWords({ ...eye, ln: 0.02 })).toContain('lie right on average');
});
