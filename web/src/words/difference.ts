import {
  LEAST_POURS,
  type DifferenceAnswer,
  type Influence,
  type NextTest,
  type Quantity,
  type Silence,
} from '@icy-ribbon/core/judgement/compare';
import {
  PHOTO_QUANTITY_KEYS,
  photoQuantity,
  type PhotoQuantityKey,
} from '@icy-ribbon/core/judgement/outcome';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { counted } from './measure.ts';
import { namesListed } from './general.ts';
import { quantityWords } from './quantity.ts';

const SILENT: Readonly<Record<Silence, (n: number) => string>> = {
  'too-few': (n) =>
    `Only ${counted(n, 'pour has', 'pours have')} it measured; from ${LEAST_POURS} on it can be asked.`,
  'no-spread': () => 'It came out the same each time.',
  'nothing-varied': () => 'Nothing that is recorded was varied.',
  'nothing-stands-out': (n) =>
    `Over ${n} pours nothing that was recorded goes with it beyond chance. Change one thing at a time to find out.`,
};

/** Why nothing can be said of what made the difference. */
export const silenceWords = (why: Silence, n: number): string => SILENT[why](n);

/** A cause inside a sentence: "with twice the …", "with 10 s more …". */
const CAUSE_NOUNS: Readonly<Record<string, string>> = {
  colorPaS: 'thickness of the colors',
  activatorRatio: 'thickness of the activator against the colors',
  groundRatio: 'thickness of base or pillow against the colors',
  colorSpread: 'distance between the thickest and the thinnest color',
  waterShare: 'water in the colors',
  colorG: 'color on the face',
  groundG: 'base or pillow on the face',
  activatorShare: 'activator share',
  distanceMm: 'blowing distance',
  slantDeg: 'slant',
  airSeconds: 'air',
  passCount: 'passes',
  waitSeconds: 'wait',
  spinTurns: 'turns on the spinner',
  torches: 'torchings',
  temperatureC: 'warmth in the room',
  humidityPercent: 'humidity',
};

const FACTOR_WORDS: Readonly<Record<number, string>> = {
  2: 'twice the',
  1.5: 'half as much again of the',
  1.25: 'a quarter more of the',
  1.1: 'a tenth more of the',
};

/** What the effect is of, as the subject of "came out … larger". */
const subjectOf = ({ key, label }: Quantity): string =>
  PHOTO_QUANTITY_KEYS.some((each) => each === key)
    ? photoQuantity(key as PhotoQuantityKey).compared!.subject
    : label.toLowerCase();

const nounOf = ({ key, label }: Quantity): string => CAUSE_NOUNS[key] ?? label.toLowerCase();

function stepWords({ cause, step }: Influence, chosen: ChosenUnits): string {
  return cause.isRatio
    ? `${FACTOR_WORDS[step] ?? `${step} times the`} ${nounOf(cause)}`
    : `${changeWords(cause, step, chosen)} more ${nounOf(cause)}`;
}

/** A change of a quantity: a share in points, a temperature without its zero, no more than two digits. */
function changeWords(quantity: Quantity, change: number, chosen: ChosenUnits): string {
  const size = Number(Math.abs(change).toPrecision(2));
  if (quantity.measure === 'share') return counted(Number((100 * size).toPrecision(2)), 'point');
  if (quantity.measure === 'percent') return counted(size, 'point');
  if (quantity.measure === 'temperature') {
    return chosen.temperature === 'F' ? `${Number((1.8 * size).toPrecision(2))} °F` : `${size}\u00a0°C`;
  }
  return quantityWords(quantity, size, chosen);
}

/** "With twice the activator share, cells came out about 0.6 mm larger (between 0.2 mm and 1 mm)." */
export function influenceWords(influence: Influence, effect: Quantity, chosen: ChosenUnits): string {
  const { change, low, high, alike } = influence;
  const subject = subjectOf(effect);
  const [near, far] = [low, high].map(Math.abs).sort((a, b) => a - b) as [number, number];
  const range =
    low < 0 && high > 0
      ? `(anything up to ${changeWords(effect, change > 0 ? high : low, chosen)} fits these pours)`
      : `(between ${changeWords(effect, near, chosen)} and ${changeWords(effect, far, chosen)})`;
  const said = `With ${stepWords(influence, chosen)}, ${subject} came out about ${changeWords(effect, change, chosen)} ${change > 0 ? effect.more : effect.less} ${range}.`;
  if (alike.length === 0) return said;
  return `${said} It always changed together with the ${namesListed(alike.map(nounOf))}: which of them did it cannot be told.`;
}

/** A change worth trying: "activator share 40 % more, from 8 % to 11 %". */
export function testWords({ cause, from, to, because }: NextTest, chosen: ChosenUnits): string {
  const change = `${Math.round(100 * Math.abs(to / from - 1))}\u00a0% ${to > from ? cause.more : cause.less}`;
  const open =
    because === 'never-varied'
      ? 'You never varied it, so nobody knows what it does.'
      : 'What it does is still open, and it could matter.';
  return `${cause.label.toLowerCase()} ${change}: from ${quantityWords(cause, from, chosen)} to ${quantityWords(cause, to, chosen)}. ${open}`;
}

/** Why a line through one cause says something else than all causes together do; undefined when they agree. */
export function beyondTheLine(
  line: { readonly isSure: boolean; readonly slope: number },
  cause: Quantity,
  answer: DifferenceAnswer,
): string | undefined {
  const found =
    answer.kind === 'found'
      ? answer.influences.find(
          (each) => each.cause.key === cause.key || each.alike.some(({ key }) => key === cause.key),
        )
      : undefined;
  if (line.isSure && !found) {
    return answer.kind === 'silent' && answer.why === 'too-few'
      ? undefined
      : 'By itself this line looks sure. Among all the causes that are recorded it does not stand out: of so many lines, one in ten looks sure by chance, or another cause explains it.';
  }
  if (!line.isSure && found) {
    return 'By itself this line tells nothing. With what else made a difference held still, it does: see What made the difference.';
  }
  if (found && line.isSure && Math.sign(found.change) !== Math.sign(line.slope)) {
    return 'With what else made a difference held still, it goes the other way: another cause changed together with it.';
  }
  return undefined;
}
