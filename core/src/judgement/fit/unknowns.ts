import { USUAL_UNKNOWNS } from '../../piece/rehearse/index.ts';

/** What measured pours can tell of the film: breath and shear; cells are learned by `cells`. */
export const FIT_NAMES = ['strength', 'friction', 'tauHalfPa'] as const;
export type FitName = (typeof FIT_NAMES)[number];

/** Spread of ln of each before anything was measured (assumptions, no published source). */
export const PRIOR_SD_LN: Readonly<Record<FitName, number>> = {
  strength: 0.35,
  friction: 0.4,
  tauHalfPa: 0.35,
};

/** How far each unknown is off its usual value, in spreads of what is taken for granted of it. */
export type Offset = readonly number[];
export const USUAL: Offset = FIT_NAMES.map(() => 0);

export type FitValues = Readonly<Record<FitName, number>>;

/**
 * The unknowns so many spreads off the usual.
 *
 * @example valuesAt([0, 0, 0]) // { strength: 2, friction: 0.025, tauHalfPa: 3 }
 */
export const valuesAt = (offset: Offset): FitValues =>
  Object.fromEntries(
    FIT_NAMES.map((name, at) => [
      name,
      USUAL_UNKNOWNS[name] * Math.exp(PRIOR_SD_LN[name] * (offset[at] ?? 0)),
    ]),
  ) as Record<FitName, number>;

/** What each pour is run at: the usual, and every unknown by itself one spread up and down. */
export const FIT_DESIGN: readonly Offset[] = [
  USUAL,
  ...FIT_NAMES.flatMap((_, at) => [-1, 1].map((way) => USUAL.map((__, each) => (each === at ? way : 0)))),
];
