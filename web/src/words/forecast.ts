import type { InterfaceForecast } from '@icy-ribbon/core/piece/stack';
import type { MeasureWords } from './measure.ts';

/** "opens in ~40 s, cells 2.5 mm". */
export function forecastWords({ cells, verdict }: InterfaceForecast, say: MeasureWords): string {
  if (cells.stable) return 'holds';
  const seconds = cells.openingSeconds;
  const time = seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
  if (verdict === 'slow') return 'dries before it opens';
  const size = `cells ${say.depth(cells.wavelengthMm)}`;
  return verdict === 'sinks' ? `sinks in about ${time}` : `opens in ~${time}, ${size}`;
}
