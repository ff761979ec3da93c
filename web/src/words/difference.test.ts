import { silenceWords } from './difference.ts';

it('says how many pours there are and how many it takes', () => {
  expect(silenceWords('too-few', 1)).toBe('Only 1 pour has it measured; from 8 on it can be asked.');
  expect(silenceWords('too-few', 5)).toMatch(/^Only 5 pours have/);
  expect(silenceWords('nothing-varied', 20)).toMatch(/was varied/);
});
