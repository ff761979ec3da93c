import { InputError, requirePositive } from '../../base/error/index.ts';

/** nu = a t - b / t, nu in mm2/s and t in s, and the times the standard states for the cup. */
export interface DrainCup {
  readonly a: number;
  readonly b: number;
  readonly fromS: number;
  readonly toS: number;
  readonly label: string;
  /** The same cup with the next smaller hole, for what runs through this one too fast. */
  readonly smaller?: string;
}

const iso = (mm: number, a: number, b: number): DrainCup => ({
  a,
  b,
  fromS: 30,
  toS: 100,
  label: `ISO 2431, ${mm} mm`,
  ...(mm > 3 && { smaller: `ISO 2431, ${mm - 1} mm` }),
});

/** nu = slope (t - offset), the form of the older cups. */
export interface LinearCup {
  readonly slope: number;
  readonly offset: number;
  readonly fromS: number;
  readonly toS: number;
  readonly label: string;
  readonly smaller?: string;
}

const zahn = (number: number, slope: number, offset: number): LinearCup => ({
  slope,
  offset,
  fromS: 20,
  toS: 80,
  label: `Zahn ${number}`,
  ...(number > 2 && { smaller: `Zahn ${number - 1}` }),
});

/**
 * Cups with a hole that a liquid drains through. Sources (from memory): ISO 2431; ASTM D1200 (Ford);
 * ASTM D4212 (Zahn); their time ranges too.
 */
export const DRAIN_CUPS = {
  'iso-3': iso(3, 0.443, 200),
  'iso-4': iso(4, 1.37, 200),
  'iso-5': iso(5, 3.28, 220),
  'iso-6': iso(6, 6.9, 570),
  'ford-4': { slope: 3.85, offset: 4.49, fromS: 20, toS: 100, label: 'Ford 4' },
  'zahn-2': zahn(2, 3.5, 14),
  'zahn-3': zahn(3, 11.7, 7.5),
  'zahn-4': zahn(4, 14.8, 5),
} as const satisfies Record<string, DrainCup | LinearCup>;

export type DrainCupName = keyof typeof DRAIN_CUPS;
export const DRAIN_CUP_NAMES = Object.keys(DRAIN_CUPS) as [DrainCupName, ...DrainCupName[]];

export interface Drained {
  readonly kinematicMm2S: number;
  readonly viscosityPaS: number;
  /** False outside the times the cup is meant for: take the next cup. */
  readonly inRange: boolean;
}

/**
 * Viscosity from the time a cup takes to drain until the stream breaks.
 *
 * @param cup a standard cup, or the formula of one's own
 * @param seconds time to the break of the stream
 * @param densityGPerMl of the liquid
 * @throws InputError naming "seconds", with what to do instead, when the time is shorter than the cup's formula can be
 * @example drained(DRAIN_CUPS['iso-4'], 60, 1.1).kinematicMm2S // 78.87
 */
export function drained(cup: DrainCup | LinearCup, seconds: number, densityGPerMl: number): Drained {
  requirePositive('seconds', seconds, 'The time');
  requirePositive('densityGPerMl', densityGPerMl, 'The density');
  const kinematicMm2S =
    'slope' in cup ? cup.slope * (seconds - cup.offset) : cup.a * seconds - cup.b / seconds;
  if (kinematicMm2S <= 0) {
    const instead = cup.smaller ? `drain it from the ${cup.smaller} cup` : 'race it on a card';
    throw new InputError('seconds', `That is too fast for this cup: check the time, or ${instead}.`);
  }
  return {
    kinematicMm2S,
    viscosityPaS: kinematicMm2S * densityGPerMl * 1e-3,
    inRange: seconds >= cup.fromS && seconds <= cup.toS,
  };
}
