import { FIT_NAMES, PRIOR_SD_LN, valuesAt } from '@icy-ribbon/core/judgement/fit';
import { FIT_WORDS, fittedWords } from './filmFit.ts';

it('every unknown has its words, its value and a range around it', () => {
  const usual = valuesAt(FIT_NAMES.map(() => 0));
  for (const name of FIT_NAMES) {
    expect(FIT_WORDS[name].label).toMatch(/\w/);
    expect(fittedWords(name, usual[name], PRIOR_SD_LN[name])).toMatch(
      /^[\d.]+(\s[\w/]+)?, [\d.]+ to [\d.]+$/,
    );
  }
  expect(fittedWords('netM', 3.5e-4, 0)).toBe('0.35\u00a0mm, 0.35 to 0.35');
  expect(fittedWords('strength', 3.1, 0.1)).toBe('3.10, 2.63 to 3.65');
});
