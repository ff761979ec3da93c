import { materialKind, type MaterialKind } from '../material/index.ts';

export interface WaterVerdict {
  readonly level: 'fine' | 'caution' | 'stop';
  readonly limit: number;
  readonly reason: string;
}

/**
 * Whether a mix holds more water than its paint bears.
 *
 * Source: common practice, no published source: about 30 % of the mix is a common ceiling, half is where
 * films fail; craft paint bears 20 %. The idea behind it is the critical pigment volume concentration
 * (Asbeck & Van Loo 1949).
 *
 * @param waterFraction added water as a mass fraction of the mix
 * @param paint the kind of paint in the cup, or `null` for a cup without one
 * @param ownLimit the limit the artist found for this very paint, in place of the kind's
 * @example waterVerdict(0.31, 'artist-tube').level // 'caution'
 */
export function waterVerdict(
  waterFraction: number,
  paint: MaterialKind | null,
  ownLimit: number | null = null,
): WaterVerdict {
  const definition = paint ? materialKind(paint) : undefined;
  const usual = definition?.waterLimit ?? { caution: 0.3, stop: 0.5 };
  const limits = ownLimit === null ? usual : { caution: ownLimit, stop: Math.max(ownLimit, usual.stop) };
  const percent = (value: number) => `${Math.round(value * 100)} %`;
  const what = definition ? definition.label.toLowerCase() : 'a mix';
  if (waterFraction > limits.stop) {
    return {
      level: 'stop',
      limit: limits.stop,
      reason: `${percent(waterFraction)} water: above ${percent(limits.stop)} the film of ${what} fails. Thin with medium or varnish instead.`,
    };
  }
  if (waterFraction > limits.caution) {
    return {
      level: 'caution',
      limit: limits.caution,
      reason: `${percent(waterFraction)} water: above ${percent(limits.caution)} the film of ${what} gets weak.`,
    };
  }
  return {
    level: 'fine',
    limit: limits.caution,
    reason: `${percent(waterFraction)} water, below the usual ceiling of ${percent(limits.caution)}.`,
  };
}
