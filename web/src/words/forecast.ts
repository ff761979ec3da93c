import type { ForecastError, OwnCells } from '@icy-ribbon/core/judgement/cells';
import type { InterfaceForecast, OpenedBy } from '@icy-ribbon/core/piece/stack';
import { counted, timeRange, type MeasureWords } from './measure.ts';

const OTHERWISE: Readonly<Record<OpenedBy, string>> = {
  'thin-sheet': 'the sheet opens by itself',
  metallic: 'the metallic throws cells',
};

/**
 * "opens in 2 to 3 min, 2.5 mm": what an interface of a stack will do. What opens it beside its weight is common
 * practice; when and how large, only one's own pours tell.
 */
export function forecastWords({ cells, opens, also, verdict }: InterfaceForecast, say: MeasureWords): string {
  switch (verdict) {
    case 'holds':
      return 'holds';
    case 'opens-otherwise':
      return OTHERWISE[also[0]!];
    case 'slow':
      return 'dries before it opens';
    case 'sinks':
      return `sinks in ${timeRange(opens!.fromSeconds, opens!.toSeconds)}`;
    case 'opens':
      return `opens in ${timeRange(opens!.fromSeconds, opens!.toSeconds)}, ${cells.stable ? '' : say.depth(cells.wavelengthMm, cells.wavelengthMm < 10 ? 1 : 0)}`;
  }
}

/** "Cells 2.2 to 4.1 mm, from 9 of your pours": nine of ten such pours come out so. */
export function ownCellsWords({ low, high, n }: OwnCells, say: MeasureWords): string {
  const range = `Cells ${say.depthRange(low, high)}`;
  return n === 0
    ? `${range}, by the law alone: no pour like it was measured yet`
    : `${range}, from ${counted(n, 'pour')} of yours`;
}

/** "Left out one at a time, they came out 1.4 times off; the law alone 2.0 times." */
export function forecastErrorWords({ n, lawLn, ownLn }: ForecastError): string {
  const times = (ln: number) => Math.exp(ln).toFixed(1);
  return `Over ${counted(n, 'measured pour')}, each left out in turn, the forecast was off by a factor of ${times(ownLn)}; the law alone by ${times(lawLn)}.`;
}
