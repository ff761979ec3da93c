import { USUAL_UNKNOWNS, type FilmUnknowns } from '../../piece/rehearse/index.ts';

/** What measured pours can tell of the paint: breath and shear; and of how a sheet opens. How far apart its cells lie is learned by `cells`. */
export const PAINT_NAMES = ['strength', 'friction', 'tauHalfPa'] as const;
export const CELL_NAMES = ['ruptureM', 'spreadingNM', 'netM'] as const;
export const FIT_NAMES = [...PAINT_NAMES, ...CELL_NAMES] as const;
export type FitName = (typeof FIT_NAMES)[number];

/** Spread of ln of each before anything was measured (assumptions, no published source). */
export const PRIOR_SD_LN: Readonly<Record<FitName, number>> = {
  strength: 0.35,
  friction: 0.4,
  tauHalfPa: 0.35,
  ruptureM: 0.4,
  spreadingNM: 0.5,
  netM: 0.25,
};

/** How far each unknown is off its usual value, in spreads of what is taken for granted of it. */
export type Offset = readonly number[];
export const USUAL: Offset = FIT_NAMES.map(() => 0);

export type FitValues = Readonly<Record<FitName, number>>;

const USUAL_VALUES: FitValues = { ...USUAL_UNKNOWNS, ...USUAL_UNKNOWNS.cells };

/**
 * The unknowns so many spreads off the usual.
 *
 * @example valuesAt([0, 0, 0, 0, 0, 0]).tauHalfPa // 3
 */
export const valuesAt = (offset: Offset): FitValues =>
  Object.fromEntries(
    FIT_NAMES.map((name, at) => [name, USUAL_VALUES[name] * Math.exp(PRIOR_SD_LN[name] * (offset[at] ?? 0))]),
  ) as Record<FitName, number>;

/** The film's unknowns with these in place of the usual ones. */
export const withValues = (values: FitValues, unknowns: FilmUnknowns = USUAL_UNKNOWNS): FilmUnknowns => {
  const { strength, friction, tauHalfPa, ruptureM, spreadingNM, netM } = values;
  const cells = { ...unknowns.cells, ruptureM, spreadingNM, netM };
  return { ...unknowns, strength, friction, tauHalfPa, cells };
};

/** What each pour is run at: the usual, and every unknown by itself one spread up and down. */
export const FIT_DESIGN: readonly Offset[] = [
  USUAL,
  ...FIT_NAMES.flatMap((_, at) => [-1, 1].map((way) => USUAL.map((__, each) => (each === at ? way : 0)))),
];
