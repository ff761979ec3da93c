import type { Cover, Puddles } from '@icy-ribbon/core/picture';
import { NINE_IN_TEN } from '@icy-ribbon/core/base/statistics';
import type { MeasureWords } from './measure.ts';
import { namesListed } from './general.ts';

const percent = (share: number): string => {
  const of = 100 * share;
  // A range of nothing would claim too much.
  if (of > 0 && of < 0.095) return `${Number(of.toPrecision(1))}\u00a0%`;
  return `${of < 0.95 ? of.toFixed(1) : of.toFixed(0)}\u00a0%`;
};

const ORDINALS = new Intl.PluralRules('en-US', { type: 'ordinal' });
const ENDINGS: Readonly<Record<Intl.LDMLPluralRule, string>> = {
  one: 'st',
  two: 'nd',
  few: 'rd',
  other: 'th',
  zero: 'th',
  many: 'th',
};
const ordinal = (number: number): string => `${number}${ENDINGS[ORDINALS.select(number)]}`;

/** Less than this of a face is not worth a word. */
const LEAST_THIN = 0.005;

/** What a picture says of a base coat: "Bare on 1.2 % (± 0.3 %): three spots, the largest 14 mm across." */
export function coverWords(
  {
    bareShare,
    bareSd,
    thinShare,
    spots,
    warnings,
  }: Omit<Cover, 'marks' | 'width' | 'height' | 'hiddenShare'>,
  { depth }: Pick<MeasureWords, 'depth'>,
): string[] {
  if (warnings.some(({ code }) => code === 'mostly-bare')) return [`Bare on about ${percent(bareShare)}.`];
  const [largest] = spots;
  const thin =
    thinShare > LEAST_THIN
      ? [`The ground shimmers through on ${percent(thinShare)} more: spread a little over it.`]
      : [];
  if (!largest) return ['It is covered: no bare spot is larger than a millimeter.', ...thin];
  const across = depth(2 * Math.sqrt(largest.areaMm2 / Math.PI), 0);
  const count = spots.length === 1 ? 'one spot' : `${spots.length} spots`;
  return [
    `Bare on ${percent(bareShare)} (±\u00a0${percent(NINE_IN_TEN * bareSd)}): ${count}, the largest ${across} across.`,
    ...thin,
  ];
}

/** Sizes that vary by less than this look alike. Common practice, no published source. */
const EVEN = 0.08;

/** How even a row or ring is, and which of it is odd. */
export function puddleWords(
  { shape, puddles, sizeSpread, gapSpread, odd }: Puddles,
  { depth }: Pick<MeasureWords, 'depth'>,
): string[] {
  const sorted = puddles.map(({ diameterMm }) => diameterMm).sort((a, b) => a - b);
  const usual = sorted[sorted.length >> 1] ?? 0;
  const where = shape === 'ring' ? 'in a ring, numbered by the clock' : 'in a row';
  const sizes =
    sizeSpread !== null && sizeSpread < EVEN
      ? `Their sizes are even (they vary by ${percent(sizeSpread)})`
      : `Their sizes vary by ${percent(sizeSpread ?? 0)}`;
  const gaps = gapSpread === null ? '' : `, the gaps between them by ${percent(gapSpread)}`;
  const said = odd.map((at) => {
    const { diameterMm } = puddles[at]!;
    return `the ${ordinal(at + 1)} is ${diameterMm > usual ? 'large' : 'small'} (${depth(diameterMm, 0)})`;
  });
  return [
    `${puddles.length} puddles ${where}. ${sizes}${gaps}.`,
    ...(said.length > 0 ? [`The usual one is ${depth(usual, 0)} across; ${namesListed(said)}.`] : []),
  ];
}
