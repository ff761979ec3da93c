import { NINE_IN_TEN, partialPooling } from '../../base/statistics/index.ts';
import type { DryingHours } from '../../flow/drying/index.ts';
import type { Technique } from '../../paint/stage/index.ts';

/** A pour that was found touch-dry: what was forecast of it, and after how long it was so, h. */
export interface DriedPour {
  readonly technique: Technique;
  readonly forecastHours: number;
  readonly dryHours: number;
}

/** The pours of which it is known when they were dry, from the numbers that are kept of each. */
export const driedPours = (
  pours: readonly {
    readonly technique: Technique;
    readonly numbers: { readonly dryForecastHours?: number | null; readonly dryHours?: number | null };
  }[],
): DriedPour[] =>
  pours.flatMap(({ technique, numbers: { dryForecastHours, dryHours } }) =>
    typeof dryForecastHours === 'number' && typeof dryHours === 'number'
      ? [{ technique, forecastHours: dryForecastHours, dryHours }]
      : [],
  );

/** How far whole studios dry faster or slower than is usual, sd of ln: walls, season, racks (an assumption). */
const SPREAD: Readonly<Record<string, number>> = { studio: 0.3 };
const groupsOf = (technique: Technique): string[] => ['studio', `technique ${technique}`];

/**
 * A forecast of drying that has learned from when pieces were really dry.
 *
 * Law: ln(really dry / forecast) is the sum of what the studio does, what is peculiar to the technique, and chance; partial
 * pooling of these (`partialPooling`). Without a log the range is the usual one, or what studios differ by if that is wider.
 *
 * @returns a function from the forecast of a pour, and its technique, to hours and the range that holds nine of ten
 */
export function learnDrying(
  dried: readonly DriedPour[],
): (forecast: DryingHours, technique: Technique) => DryingHours & { readonly n: number } {
  const predict = partialPooling(
    dried.map(({ technique, forecastHours, dryHours }) => ({
      value: Math.log(dryHours / forecastHours),
      groups: groupsOf(technique),
    })),
    SPREAD,
  );
  return (forecast, technique) => {
    const { mean, sd } = predict(groupsOf(technique));
    const hours = forecast.hours * Math.exp(mean);
    const spread = Math.exp(NINE_IN_TEN * sd);
    return { hours, low: hours / spread, high: hours * spread, n: dried.length };
  };
}
