import type { BeforePourFacts, BeforePourNote } from '@icy-ribbon/core/thickness/match';
import { counted, type MeasureWords } from './measure.ts';

type Code = BeforePourNote['code'];
type Say<Each extends Code> = (facts: BeforePourFacts[Each], say: MeasureWords) => string;

const WORDS: { readonly [Each in Code]: Say<Each> } = {
  unmixed: () => 'not mixed yet.',
  evaporated: ({ lostMg }, say) => `lost ${say.massFine(lostMg)} of water: stir it in again, then test it.`,
  resting: ({ hours }) => `resting: ${hours}\u00a0h more, so that the bubbles leave.`,
  open: () => 'no lid on: put one on, weigh it again.',
  'never-tested': () => 'never tested, the thickness is a forecast.',
  'changed-since': () => 'not tested since something was stirred in.',
  'not-today': () => 'not tested today.',
  aged: ({ days }) => `stood for ${counted(days, 'day')}: weigh it again, what is missing is water.`,
};

/** What is to be seen to before the pour, without the cup's name. */
export const noteWords = ({ code, facts }: BeforePourNote, say: MeasureWords): string =>
  (WORDS[code] as Say<Code>)(facts as never, say);
