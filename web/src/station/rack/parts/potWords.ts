import type { CoatKind } from '@icy-ribbon/core/flow/drying';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import type { PotStep } from '@icy-ribbon/core/piece/finish';
import type { Pot } from '#store/coatKit.ts';

/** The steps that a coat goes through: varnish is not torched. */
export const stepsOf = (kind: CoatKind): readonly PotStep[] =>
  kind === 'resin'
    ? ['weigh', 'stir', 'pour', 'bubbles', 'wait', 'again', 'cover']
    : ['weigh', 'pour', 'cover'];

/** The part of a pot that is weighed now; undefined when all are in. */
export const partToWeigh = ({ parts, weighed }: Pick<Pot, 'parts' | 'weighed'>): number | undefined => {
  const index = parts.findIndex((_, at) => (weighed[at] ?? 0) === 0);
  return index < 0 ? undefined : index;
};

const RESIN: Readonly<Record<Exclude<PotStep, 'weigh'>, string>> = {
  stir: 'Stir at medium speed for 4 minutes, scraping sides and floor.',
  pour: 'Pour from the middle outward, even it with a gloved hand, wipe the sides down.',
  bubbles: 'Bubbles out: pass the torch or heat gun over it, never holding still.',
  wait: 'Leave it for 10 minutes: more bubbles rise.',
  again: 'Bubbles out once more.',
  cover: 'A box over it, free of dust, for 24 hours.',
};
const VARNISH: Partial<Record<PotStep, string>> = {
  pour: 'Brush it on thin, in one direction, the next coat across.',
  cover: 'Dust-free until it is dry: 4 hours to the next coat.',
};

/** What is done now, in one sentence. */
export function potSentence(pot: Pot, step: PotStep, grams: (mg: number) => string): string {
  if (step === 'weigh') {
    const part = pot.parts[partToWeigh(pot) ?? pot.parts.length - 1];
    return part ? `Weigh in ${grams(part.mg)} of ${part.name}.` : '';
  }
  return (pot.kind === 'resin' ? RESIN[step] : VARNISH[step]) ?? '';
}

/** The usual caution at the step where it matters. */
export function potCaution(kind: CoatKind, step: PotStep): string {
  if (kind !== 'resin') return `${CAUTIONS.varnish} ${CAUTIONS.deferral}`;
  if (step === 'bubbles' || step === 'again') return `${CAUTIONS.torch} ${CAUTIONS.deferral}`;
  return `${CAUTIONS.resin} ${CAUTIONS.deferral}`;
}
