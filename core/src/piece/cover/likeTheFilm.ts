/** What the simple forecast knows of a plan. */
export interface CoverFacts {
  /** Share of the face that is laid or blown over, by the simple forecast. */
  readonly share: number;
  /** All color and activator over the face, mm. */
  readonly colorMm: number;
  /** Of the colors, the mean by its logarithm. */
  readonly viscosityPaS: number;
  readonly hasPillow: boolean;
  /** Times thinner by the spinner, at least 1. */
  readonly thinner: number;
  /** Piles; otherwise ribbons and bands. */
  readonly isPiled: boolean;
}

/**
 * Fitted to 400 rehearsals of random plans on a grid of 48 cells (`core/testing/randomScene`), by robust regression on those of usual thickness
 * and depth: 94 ribbons, 142 piles. Off by 7 and 8 points of the face on average, 18 and 17 in one of ten; `likeTheFilm.test.ts`
 * holds it against others.
 */
const RIBBONS = { base: 1.15, share: 0.53, colorLn: 0.95, viscosityLn: -0.23, sd: 0.65 } as const;
const PILES = {
  base: 2.08,
  colorLn: 2.05,
  viscosityLn: -0.81,
  pillow: 1.08,
  thinnerLn: 1.27,
  sd: 0.88,
} as const;
const TRACE_MM = 0.05;
const EDGE = 0.02;

/**
 * Log odds of a share, held a little from nothing and from all.
 *
 * @example logOdds(0.5) // 0
 */
export const logOdds = (share: number): number => {
  const kept = Math.min(1 - EDGE, Math.max(EDGE, share));
  return Math.log(kept / (1 - kept));
};

/**
 * The share of log odds.
 *
 * @example shareOfOdds(0) // 0.5
 */
export const shareOfOdds = (value: number): number => 1 / (1 + Math.exp(-value));

/**
 * How much of the face the rehearsal would show covered, as log odds, without running it; and how far it lies off, as their sd.
 *
 * Law: log odds linear in the logarithms of what decides: color on the face, its thickness, the spin, and where it is laid and
 * blown. An emulator of the film model, no law of its own.
 */
export function coveredOdds(facts: CoverFacts): { readonly odds: number; readonly sd: number } {
  const [colorLn, viscosityLn] = [Math.log(facts.colorMm + TRACE_MM), Math.log(facts.viscosityPaS)];
  if (!facts.isPiled) {
    const { base, share, sd } = RIBBONS;
    const odds = base + share * logOdds(facts.share);
    return { odds: odds + RIBBONS.colorLn * colorLn + RIBBONS.viscosityLn * viscosityLn, sd };
  }
  const { base, pillow, thinnerLn, sd } = PILES;
  const odds = base + (facts.hasPillow ? pillow : 0) + thinnerLn * Math.log(facts.thinner);
  return { odds: odds + PILES.colorLn * colorLn + PILES.viscosityLn * viscosityLn, sd };
}
