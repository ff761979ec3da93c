import type {
  BlowTestReading,
  Standing,
  TipAngles,
  TipTestReading,
} from '@icy-ribbon/core/judgement/pouring';
import type { PatchContrast } from '@icy-ribbon/core/piece/repair';
import type { MeasureWords } from './measure.ts';

/** What the base says that was blown alone, and what to do. */
export function blowTestWords({ verdict, fromMm, toMm }: BlowTestReading, say: MeasureWords): string {
  const film =
    toMm === null
      ? `More than ${say.film(fromMm)} are left`
      : fromMm === 0
        ? `Less than ${say.film(toMm)} are left`
        : `${say.film(fromMm)} to ${say.film(toMm)} are left`;
  const advice = {
    right: 'it is right, lay the colors.',
    much: 'let it run off, or the design drowns; then blow again.',
    little: 'lay a little more base, or nothing moves.',
    thick: 'the base is too thick to move: thin it before you go on.',
  }[verdict];
  return `${film}, by estimate: ${advice}`;
}

const degrees = (deg: number): string => deg.toFixed(deg < 10 ? 1 : 0);

/** How far to tip a piece. */
export const angleWords = ({ fromDeg, toDeg }: TipAngles): string =>
  `${degrees(fromDeg)} to ${degrees(toDeg)}°`;

/** What tipping tells of the middle, and what to do. */
export function tipTestWords(
  { mm, verdict }: TipTestReading,
  moves: boolean,
  angles: TipAngles,
  say: MeasureWords,
): string {
  const film = moves ? `At least ${say.film(mm)} in the middle` : `At most ${say.film(mm)} in the middle`;
  const advice = {
    spin: 'there is paint to lose. Spin on, slowly, the other way.',
    enough: 'it may stay.',
    'ask-again': `tip it ${angleWords(angles)} to know.`,
  }[verdict];
  return `${film}, by estimate: ${advice}`;
}

/** Whether a patch will show, and what could hide it. */
export function patchWords({ verdict, difference }: PatchContrast): string {
  const much = `design and ground differ by ${difference.toFixed(0)} (CIEDE2000)`;
  switch (verdict) {
    case 'hides':
      return `It should hide: ${much}.`;
    case 'may-show':
      return `It may show: ${much}. Blow the neighbors over its rim.`;
    case 'shows':
      return `It will show: ${much}. Carry the design on over it, blow the neighbors over its rim, or draw wisps across.`;
  }
}

const seconds = (value: number) => `${Math.round(value)}\u00a0s`;
const before = (mark: Standing, unit: (value: number) => string): string =>
  mark.before
    ? `; your last ${mark.before.n === 1 ? 'success' : `${mark.before.n} successes`} had ${unit(mark.before.value)}`
    : '';

/** Where the pour stands in one respect: go on or stop, and by what. */
export function markWords(
  mark: Standing,
  say: MeasureWords,
): { readonly advice: string; readonly because: string } {
  const { code, verdict, value, from, to } = mark;
  switch (code) {
    case 'air':
      return {
        advice: { more: 'Blow on', enough: 'Air: you may stop', 'too-much': 'Stop blowing: it goes to mud' }[
          verdict
        ],
        because: `${seconds(value)} of ${seconds(from ?? 0)} to ${seconds(to ?? 0)}${before(mark, seconds)}`,
      };
    case 'cells':
      return {
        advice: verdict === 'more' ? 'Wait: cells are still opening' : 'Cells should be open',
        because: `${seconds(value)} since the last air${from === null || to === null ? '' : `, they open in ${seconds(from)} to ${seconds(to)}`}${before(mark, seconds)}`,
      };
    case 'middle':
      return {
        advice: {
          more: 'The middle is thick: spin on',
          enough: 'The middle may stay',
          'too-much': 'The middle is thin: stop',
        }[verdict],
        because: `about ${say.film(value)} by what was laid and spun; up to ${say.film(to ?? 0)} is usual`,
      };
    case 'spin': {
      const turns = (of: number) => `${Math.round(of)} turns`;
      return {
        advice: verdict === 'more' ? 'Spin on' : 'Spun enough',
        because: `${turns(value)}${before(mark, turns)}`,
      };
    }
  }
}
