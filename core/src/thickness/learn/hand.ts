import { interpret } from '../reading/index.ts';
import type { ReadingRecord } from './record.ts';

/** Before anything was repeated, what is said of a reading's spread counts as so many repeats (an assumption). */
const SAID_COUNTS = 4;
/** However readings of one cup lie apart, they are held to be no more than so many times as unsure as said. */
const MOST = 4;

/**
 * How many times as unsure a hand is as is said of its readings, by those that were repeated; never surer.
 *
 * Law: the variance of repeats about their means, in that which was said, pooled with what was said as `SAID_COUNTS` repeats (a
 * conjugate prior; standard Bayesian practice).
 *
 * @param squares sum over repeats of (off the mean of its group / said spread)^2
 * @param degrees repeats less their groups
 * @example scatterTimes(24, 6) // 1.673
 */
export const scatterTimes = (squares: number, degrees: number): number =>
  Math.min(MOST, Math.max(1, Math.sqrt((SAID_COUNTS + squares) / (SAID_COUNTS + degrees))));

/**
 * How many times as unsure each kind of a person's readings is as said. Readings are repeats when they are of one kind, of one cup with
 * the same in it, and, in a race, of one card: what they have in common does not matter then.
 */
export function handOf(
  readings: readonly ReadingRecord[],
): (kind: ReadingRecord['measure']['kind']) => number {
  const groups = new Map<string, { readonly kind: string; readonly ln: number[]; readonly sd: number[] }>();
  for (const { measure, cupId, raceId, contents } of readings) {
    const { ln, sdLn, atMost } = interpret(measure);
    if (cupId === null || atMost || !(sdLn > 0)) continue;
    const key = JSON.stringify([measure.kind, cupId, measure.kind === 'race' ? raceId : '', contents]);
    const group = groups.get(key) ?? { kind: measure.kind, ln: [], sd: [] };
    group.ln.push(ln);
    group.sd.push(sdLn);
    groups.set(key, group);
  }
  const pooled = new Map<string, { squares: number; degrees: number }>();
  for (const { kind, ln, sd } of groups.values()) {
    if (ln.length < 2) continue;
    const mean = ln.reduce((sum, each) => sum + each, 0) / ln.length;
    const so = pooled.get(kind) ?? { squares: 0, degrees: 0 };
    so.squares += ln.reduce((sum, each, at) => sum + ((each - mean) / sd[at]!) ** 2, 0);
    so.degrees += ln.length - 1;
    pooled.set(kind, so);
  }
  return (kind) => {
    const { squares, degrees } = pooled.get(kind) ?? { squares: 0, degrees: 0 };
    return scatterTimes(squares, degrees);
  };
}
