import { NINE_IN_TEN, partialPooling } from '../../base/statistics/index.ts';
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

/** Shares are held this far from nothing and from all before they are compared. */
const EDGE = 0.02;
const logit = (share: number): number => {
  const kept = Math.min(1 - EDGE, Math.max(EDGE, share));
  return Math.log(kept / (1 - kept));
};
const shareOf = (value: number): number => 1 / (1 + Math.exp(-value));

/** How far whole studios lie from the simple forecast, sd of its log odds: it follows no films (an assumption). */
const SPREAD: Readonly<Record<string, number>> = { studio: 0.9 };
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
      value: logit(covered) - logit(forecast),
      groups: groupsOf(technique),
    })),
    SPREAD,
  );
  return (forecast, technique) => {
    const { mean, sd } = predict(groupsOf(technique));
    const at = logit(forecast) + mean;
    return {
      covered: shareOf(at),
      low: shareOf(at - NINE_IN_TEN * sd),
      high: shareOf(at + NINE_IN_TEN * sd),
      n: pours.filter((pour) => pour.technique === technique).length,
    };
  };
}
