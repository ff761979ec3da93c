/** The techniques a piece can be poured in, and the thickness each asks of its cups. */
export const TECHNIQUES = ['dutch', 'bloom', 'swipe'] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** "medium": what is made once and poured into several cups; "swipe": the color that is swiped over the rest. */
export const CUP_ROLES = ['base', 'color', 'pillow', 'activator', 'swipe', 'medium'] as const;
export type CupRole = (typeof CUP_ROLES)[number];

export interface ThicknessWindow {
  readonly label: string;
  readonly roles: readonly CupRole[];
  readonly thinPaS: number;
  readonly thickPaS: number;
}

/**
 * Source: common practice, no published source. Dutch: base and colors alike, at the fading stage.
 * Bloom: pillow and colors standing, the activator clearly thinner (fading to gone). A pillow may be as
 * thick as wall paint comes from the can. Swipe: base and colors fading, the swiped color thinner.
 */
const WINDOWS: Readonly<Record<Technique, readonly ThicknessWindow[]>> = {
  dutch: [{ label: 'base and colors', roles: ['base', 'color'], thinPaS: 0.35, thickPaS: 0.9 }],
  bloom: [
    { label: 'pillow', roles: ['pillow'], thinPaS: 1.6, thickPaS: 10 },
    { label: 'colors', roles: ['color'], thinPaS: 1.6, thickPaS: 4.5 },
    { label: 'activator', roles: ['activator'], thinPaS: 0.12, thickPaS: 0.9 },
  ],
  swipe: [
    { label: 'base and colors', roles: ['base', 'color'], thinPaS: 0.35, thickPaS: 0.9 },
    { label: 'swiped color', roles: ['swipe', 'activator'], thinPaS: 0.12, thickPaS: 0.35 },
  ],
};

/**
 * The windows of a technique, the ground’s first.
 *
 * @example thicknessWindows('dutch')[0].thickPaS // 0.9
 */
export function thicknessWindows(technique: Technique): readonly ThicknessWindow[] {
  return WINDOWS[technique];
}

/**
 * The window a cup of this role shall lie in; none for a medium.
 *
 * @example windowFor('bloom', 'color').thinPaS // 1.6
 */
export function windowFor(technique: Technique, role: CupRole): ThicknessWindow | undefined {
  return WINDOWS[technique].find((window) => window.roles.includes(role));
}

export type WindowFit = 'thin' | 'fits' | 'thick';

/**
 * Whether a cup's viscosity lies in its window; `undefined` when the technique asks nothing of its role.
 *
 * @example windowFit('dutch', 'color', 2) // 'thick'
 */
export function windowFit(technique: Technique, role: CupRole, viscosityPaS: number): WindowFit | undefined {
  const window = windowFor(technique, role);
  if (!window) return undefined;
  if (viscosityPaS < window.thinPaS) return 'thin';
  return viscosityPaS > window.thickPaS ? 'thick' : 'fits';
}
