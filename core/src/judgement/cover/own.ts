import { NINE_IN_TEN, partialPooling } from '../../base/statistics/index.ts';
import { logOdds, shareOfOdds } from '../../piece/cover/index.ts';
import type { Technique } from '../../paint/stage/index.ts';

/** A pour whose face was measured, and what the forecast had said; shares of the face. */
export interface CoveredPour {
  readonly technique: Technique;
  readonly forecast: number;
  readonly covered: number;
}

/** How much of the face a design will cover, by one's own pours. */
export interface OwnCoverage {
  readonly covered: number;
  /** Nine of ten such pours come out between these. */
  readonly low: number;
  readonly high: number;
  /** Measured pours of this technique. */
  readonly n: number;
}

/** How far whole studios lie from the forecast, sd of its log odds (an assumption). */
const SPREAD: Readonly<Record<string, number>> = { studio: 0.9 };
/** How far pours of one artist lie apart then, sd of the log odds, held possible alike. */
const SCATTER = [0.3, 0.6, 0.9, 1.3];
const groupsOf = (technique: Technique): string[] => ['studio', `technique ${technique}`];

/**
 * A forecast of coverage that has learned from measured pours.
 *
 * Law: the log odds of what was covered less those of the forecast are the sum of what the studio does otherwise, what is
 * peculiar to the technique, and chance; partial pooling of these (`partialPooling`).
 *
 * @returns a function from the forecast of a pour, and its technique
 */
export function learnCoverage(
  pours: readonly CoveredPour[],
): (forecast: number, technique: Technique) => OwnCoverage {
  const predict = partialPooling(
    pours.map(({ technique, forecast, covered }) => ({
      value: logOdds(covered) - logOdds(forecast),
      groups: groupsOf(technique),
    })),
    SPREAD,
    SCATTER,
  );
  return (forecast, technique) => {
    const { mean, sd } = predict(groupsOf(technique));
    const at = logOdds(forecast) + mean;
    return {
      covered: shareOfOdds(at),
      low: shareOfOdds(at - NINE_IN_TEN * sd),
      high: shareOfOdds(at + NINE_IN_TEN * sd),
      n: pours.filter((pour) => pour.technique === technique).length,
    };
  };
}
