import { LEAST_POURS, type Silence } from '@icy-ribbon/core/judgement/compare';
import { counted } from './measure.ts';

const WORDS: Readonly<Record<Silence, (n: number) => string>> = {
  'too-few': (n) =>
    `Only ${counted(n, 'pour has', 'pours have')} it measured; from ${LEAST_POURS} on it can be asked.`,
  'no-spread': () => 'It came out the same each time.',
  'nothing-varied': () => 'Nothing that is recorded was varied.',
  'nothing-predicts': () =>
    'Nothing that was recorded foretells it better than the average does. Change one thing at a time to find out.',
};

/** Why nothing can be said of what made the difference. */
export const silenceWords = (why: Silence, n: number): string => WORDS[why](n);
