import type { JudgementPut, Measurement } from '@icy-ribbon/contract';
import type { DemoPiece } from './scenario.ts';

/** The studio's judgement follows what was measured, and what went wrong. */
export function judge(
  { cells, lacing, negativeSpace, mud, shares, base }: Measurement,
  told: DemoPiece,
  faultIds: readonly string[],
): Omit<JudgementPut, 'version'> {
  const degree = (value: number, steps: readonly number[]) => steps.filter((step) => value >= step).length;
  const colored = 1 - negativeSpace;
  const laced = lacing.areaShare / Math.max(0.01, colored);
  const faults = told.faults ?? [];
  // A bloom is liked for its net and its cells, a Dutch pour for colors that all show on enough of its base.
  const shown = Object.entries(shares).flatMap(([name, share]) => (name === base ? [] : [share]));
  const least = Math.min(...shown) * shown.length;
  const likes =
    told.technique === 'bloom'
      ? [laced > 0.06, cells.perCm2 > 0.5]
      : [least > 0.4 * colored, negativeSpace > 0.5 && negativeSpace < 0.75];
  const good = 3 + likes.filter(Boolean).length - (mud > 0.04 ? 1 : 0) - faults.length;
  const rating = Math.min(5, Math.max(1, good));
  return {
    rating,
    faults: faults.map((kind, index) => ({
      id: faultIds[index]!,
      kind,
      at: { x: 0.5, y: 0.5 },
      cupId: null,
      note: '',
    })),
    hangingDeg: null,
    verdict: rating >= 5 ? 'keep' : rating >= 3 ? 'finish' : rating === 2 ? 'rework' : 'scrape',
    // By what the colors show: a great many cells are more than a trace on a large face, too.
    cells: Math.max(
      cells.count >= 500 ? 2 : 0,
      degree(cells.perCm2 / Math.max(0.01, colored), [0.15, 0.4, 0.8, 1.4]),
    ),
    lacing: degree(laced, [0.02, 0.05, 0.09, 0.14]),
    petals: degree(colored, [0.08, 0.2, 0.35, 0.6]),
    mud: degree(mud / Math.max(0.01, colored), [0.01, 0.05, 0.12, 0.25]),
    cellSizeMm: cells.count >= 10 ? Math.round(cells.medianMm * 10) / 10 : null,
    tryNext: told.tryNext ?? '',
    note: '',
  };
}
