import type { Reading } from '@icy-ribbon/contract';
import type { AddedIngredient, AdditionLimit, NextAddition, Stuck } from '@icy-ribbon/core/thickness/match';
import { NINE_IN_TEN } from '@icy-ribbon/core/base/statistics';
import type { MeasureWords } from './measure.ts';
import { DRAIN_CUPS } from '@icy-ribbon/core/thickness/reading';
import { percent } from './percent.ts';

/** "0.76 Pa·s". */
export const paS = (value: number): string => `${value.toPrecision(2)}\u00a0Pa·s`;

/** A spread of ln(viscosity) as the range that holds nine times in ten: "± 22 %", or "within a factor of 4.5". */
export function spreadWords(spreadLn: number): string {
  const factor = Math.exp(NINE_IN_TEN * spreadLn);
  return factor < 1.4
    ? `±\u00a0${Math.max(1, Math.round((factor - 1) * 100))}\u00a0%`
    : `within a factor of ${factor.toFixed(1)}`;
}

/** What was read, in words: "mound gone after 1.2 s". */
export function measureWords({ measure }: Pick<Reading, 'measure'>): string {
  switch (measure.kind) {
    case 'words':
      return `looks like ${measure.stage}${measure.eye ? ', corrected by your practiced eye' : ''}`;
    case 'mound':
      return `mound gone after ${measure.seconds.toFixed(1)}\u00a0s${measure.constant ? '' : ', not calibrated'}`;
    case 'drain-cup': {
      const name = measure.own?.name ?? DRAIN_CUPS[measure.cup as keyof typeof DRAIN_CUPS].label;
      return `${name}: drained in ${measure.seconds.toFixed(1)}\u00a0s`;
    }
    case 'race':
      return measure.by === 'time'
        ? `race: at the line after ${measure.value.toFixed(1)}\u00a0s`
        : `race: ran ${measure.value.toFixed(0)}\u00a0mm${measure.sdMm === undefined ? '' : `, read off a picture (±\u00a0${(NINE_IN_TEN * measure.sdMm).toFixed(1)}\u00a0mm)`}`;
  }
}

const STUCK: Readonly<Record<Stuck, string>> = {
  'no-thinner': 'This cup holds nothing to thin it with: choose water or varnish.',
  'no-stock': 'This cup has no thick stock to add: mix a thicker one and pour them together.',
  'thinner-too-thick': 'What it is thinned with is itself too thick for this target.',
  'stock-too-thin':
    'Its medium and paint alone are not thick enough for this target: use a thicker paint, or pour a thicker cup into it.',
};

/** What forbids all that would be needed. */
export function limitWords(limit: AdditionLimit, say: MeasureWords): string {
  return limit.code === 'water'
    ? `${percent(limit.water)} water would be above its limit of ${percent(limit.most)}: thin with varnish or medium instead.`
    : `The cup holds ${say.volume(limit.capacityMl)} and would need ${say.volume(limit.wantedMl)}: take a larger one, or use some of it first.`;
}

/** The next addition as a sentence with its number. */
export function additionWords(next: NextAddition, show: (mg: number) => string): string {
  if (next.kind === 'there') return 'It is there.';
  if (next.kind === 'read') {
    return next.need.length === 0
      ? 'It may be there: race it, or drain it, to know.'
      : 'Read it first, best by a race: too little is known of it to stir anything in.';
  }
  if (next.kind === 'stuck') return STUCK[next.because];
  const list = (parts: typeof next.step) =>
    parts.map((each) => `${show(each.mg)} ${each.name.toLowerCase()}`).join(' and ');
  return `Stir in ${list(next.step)}, then look again.`;
}

const sumMg = (parts: readonly AddedIngredient[]): number => parts.reduce((sum, { mg }) => sum + mg, 0);

/** How sure the next addition is; ranges hold nine times in ten. */
export function sureWords(next: NextAddition, show: (mg: number) => string): string {
  if (next.kind === 'read' && next.need.length > 0) {
    return `${show(sumMg(next.need))} would reach it by the best guess, but the guess is ${spreadWords(next.now.spreadLn)}.`;
  }
  if (next.kind !== 'thin' && next.kind !== 'thicken') return '';
  const need = sumMg(next.need);
  const chance = next.overshoot < 0.01 ? 'below 1' : String(Math.round(next.overshoot * 100));
  return `${show(need)} would reach it by the best guess; the step leaves it at ${paS(next.after.viscosityPaS)}, ${spreadWords(next.after.spreadLn)}; chance to go too far ${chance}\u00a0%.`;
}
