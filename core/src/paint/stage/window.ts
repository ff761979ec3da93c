import { normalBelow } from '../../base/statistics/index.ts';
import { NO_AIMS, type Aims } from './aims.ts';
import type { Technique } from './technique.ts';

/** "medium": what is made once and poured into several cups; "swipe": the color that is swiped over the rest. */
export const CUP_ROLES = ['base', 'color', 'pillow', 'activator', 'swipe', 'medium'] as const;
export type CupRole = (typeof CUP_ROLES)[number];

export interface ThicknessWindow {
  readonly label: string;
  readonly roles: readonly CupRole[];
  readonly thinPaS: number;
  readonly thickPaS: number;
  /** Where to go when a cup lies outside: the narrower band that most artists call right. */
  readonly aim: { readonly thinPaS: number; readonly thickPaS: number };
}

const band = (thinPaS: number, thickPaS: number) => ({ thinPaS, thickPaS });
const FADING = band(0.35, 0.9);

/** The Dutch thickness that is aimed at; not chosen, any of the three is right. */
const DUTCH: Readonly<Record<'any' | 'thick' | 'medium' | 'thin', ReturnType<typeof band>>> = {
  any: band(0.12, 2.2),
  thick: band(0.8, 2.2),
  medium: band(0.3, 1.1),
  thin: band(0.12, 0.42),
};

/**
 * Source: common practice, no published source. Dutch: base and colors alike, thick, medium or thin as it is aimed at.
 * Bloom: pillow and colors standing, or as thin as the equal-base medium over a pillow of itself; a pillow may be as thick
 * as wall paint comes from the can. Swipe, ring, lifted cup, radial: base and colors fading, or bloom paint. An activator and a
 * swiped color are judged against the colors under them (`LIMITS.activatorToColors`); by itself it only must not dent.
 */
/** Either school: bloom paint, or thinner paint as for a Dutch pour. */
const EITHER: typeof DUTCH = {
  any: band(0.12, 5),
  thick: band(1.2, 5),
  medium: band(0.3, 1.6),
  thin: band(0.12, 0.42),
};
/** Bloom paint is aimed at where most artists have it; not chosen, the thinner school. */
const eitherAim = (thickness: Aims['thickness']) =>
  thickness === 'thick' ? band(1.6, 4.5) : thickness === 'thin' ? DUTCH.thin : FADING;

function windowsOf(technique: Technique, { thickness }: Pick<Aims, 'thickness'>): readonly ThicknessWindow[] {
  const dutch = DUTCH[thickness ?? 'any'];
  const either = { ...EITHER[thickness ?? 'any'], aim: eitherAim(thickness) };
  switch (technique) {
    case 'dutch':
      return [
        { label: 'base and colors', roles: ['base', 'color'], ...dutch, aim: thickness ? dutch : FADING },
      ];
    case 'bloom':
      return [
        { label: 'pillow', roles: ['pillow'], ...band(0.5, 12), aim: band(1.6, 10) },
        { label: 'colors', roles: ['color'], ...band(0.5, 5), aim: band(1.6, 4.5) },
        { label: 'activator', roles: ['activator'], ...band(0.1, 2), aim: band(0.12, 0.9) },
      ];
    case 'swipe':
      return [
        { label: 'base and colors', roles: ['base', 'color'], ...either },
        { label: 'swiped color', roles: ['swipe', 'activator'], ...band(0.1, 2), aim: band(0.12, 0.35) },
      ];
    case 'ring':
    case 'lifted-cup':
    case 'radial':
      return [{ label: 'base and colors', roles: ['base', 'color'], ...either }];
  }
}

/**
 * The windows of a technique, the ground’s first.
 *
 * @example thicknessWindows('dutch')[0].thickPaS // 2.2
 */
export function thicknessWindows(technique: Technique, aims: Aims = NO_AIMS): readonly ThicknessWindow[] {
  return windowsOf(technique, aims);
}

/**
 * The window a cup of this role shall lie in; none for a medium.
 *
 * @example windowFor('bloom', 'color').thickPaS // 5
 */
export function windowFor(
  technique: Technique,
  role: CupRole,
  aims: Aims = NO_AIMS,
): ThicknessWindow | undefined {
  return windowsOf(technique, aims).find((window) => window.roles.includes(role));
}

export type WindowFit = 'thin' | 'fits' | 'thick';

/**
 * Whether a cup's viscosity lies in its window; `undefined` when the technique asks nothing of its role.
 *
 * @example windowFit('dutch', 'color', 3) // 'thick'
 */
export function windowFit(
  technique: Technique,
  role: CupRole,
  viscosityPaS: number,
  aims: Aims = NO_AIMS,
): WindowFit | undefined {
  const window = windowFor(technique, role, aims);
  if (!window) return undefined;
  if (viscosityPaS < window.thinPaS) return 'thin';
  return viscosityPaS > window.thickPaS ? 'thick' : 'fits';
}

/**
 * How much of what is believed of a cup lies in a window, from 0 to 1.
 *
 * Law: normal distribution of ln(viscosity).
 *
 * @example chanceInside({ viscosityPaS: 0.56, spreadLn: 0.3 }, { thinPaS: 0.35, thickPaS: 0.9 }) // 0.8845
 */
export function chanceInside(
  cup: { readonly viscosityPaS: number; readonly spreadLn: number },
  window: { readonly thinPaS: number; readonly thickPaS: number },
): number {
  const below = (paS: number) => normalBelow(Math.log(paS), Math.log(cup.viscosityPaS), cup.spreadLn);
  return below(window.thickPaS) - below(window.thinPaS);
}
