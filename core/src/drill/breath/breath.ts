import { airTool, jetOnPaint, settingSpeed } from '../../flow/air/index.ts';
import { points } from '../schedule/index.ts';

/** Where a breath is: how far off the mouth is held and how hard it blows, both 0 to 1. */
export interface BreathAt {
  readonly far: number;
  readonly hard: number;
}

/** A moment of a breath that was blown. */
export interface BreathMoment extends BreathAt {
  readonly seconds: number;
}

/** How a breath shall grow. */
export const BREATH_CURVES = ['growing', 'even', 'ebbing'] as const;
export type BreathCurve = (typeof BREATH_CURVES)[number];

/** A breath is drawn out so long that a hand can follow, s. */
export const BREATH_S = 8;
const NEAR_MM = 40;
const FAR_MM = 160;
const MOUTH = airTool('mouth');
const SOFT_MS = MOUTH.exitSpeedMS * settingSpeed('mouth', 'soft');
const HARD_MS = MOUTH.exitSpeedMS * settingSpeed('mouth', 'strong');
const STEEP_ENOUGH_DEG = 25;

export const distanceOf = ({ far }: BreathAt): number => NEAR_MM + far * (FAR_MM - NEAR_MM);
const exitOf = ({ hard }: BreathAt): number => SOFT_MS + hard * (HARD_MS - SOFT_MS);

/**
 * Speed of the air where it meets the paint.
 *
 * Law: the round jet, as in `jet`.
 *
 * @returns m/s
 * @example airOnPaint({ far: 0, hard: 0 }) // 10.5
 */
export const airOnPaint = (at: BreathAt): number =>
  jetOnPaint({
    ...{ exitSpeedMS: exitOf(at), exitDiameterMm: MOUTH.exitDiameterMm, distanceMm: distanceOf(at) },
    ...{ slantDeg: STEEP_ENOUGH_DEG, paintDensityKgM3: 1100 },
  }).speedMS;

/** Where an even breath begins and ends: within what a mouth can do. */
const EVEN_FROM_MM = 80;
const EVEN_TO_MM = 145;

/**
 * Where a breath shall be at a moment: growing from near and soft to far and hard; drawn back so that the air on the paint stays the same; or grown and
 * ebbing away again.
 *
 * @param share of its time, 0 to 1
 * @example breathAim('growing', 0.5) // { far: 0.5, hard: 0.5 }
 */
export function breathAim(curve: BreathCurve, share: number): BreathAt {
  const eased = share * share * (3 - 2 * share);
  if (curve === 'growing') return { far: eased, hard: eased };
  if (curve === 'ebbing') {
    const swell = Math.sin(Math.PI * share) ** 2;
    return { far: eased, hard: swell };
  }
  const distance = EVEN_FROM_MM + eased * (EVEN_TO_MM - EVEN_FROM_MM);
  const exit = SOFT_MS * (distance / EVEN_FROM_MM);
  return {
    far: (distance - NEAR_MM) / (FAR_MM - NEAR_MM),
    hard: Math.min(1, (exit - SOFT_MS) / (HARD_MS - SOFT_MS)),
  };
}

export interface BreathScore {
  readonly score: number;
  /** How far the breath was from its curve on average, as a share of the whole range. */
  readonly off: number;
  /** How much the strength trembled, as a share of its range. */
  readonly sway: number;
}

/** So far off on average is no point. */
const WORTHLESS = 0.35;
/** Trembling counts beside the distance. */
const SWAY_COSTS = 2;
/** Faster than that is trembling, slower is the curve, s. */
const SWAY_WITHIN_S = 0.6;
/** Where nothing was heard, the breath counts as this far off. */
const NOTHING = 1;

/** Points for a breath: on its curve and steady; what was not blown counts as missed. */
export function scoreBreath(curve: BreathCurve, moments: readonly BreathMoment[]): BreathScore {
  const blown = moments.filter(({ seconds }) => seconds >= 0 && seconds <= BREATH_S);
  if (blown.length < 2) return { score: 0, off: NOTHING, sway: 0 };
  let [sum, covered] = [0, 0];
  for (let at = 1; at < blown.length; at += 1) {
    const now = blown[at]!;
    const held = Math.min(0.5, now.seconds - blown[at - 1]!.seconds);
    const aim = breathAim(curve, now.seconds / BREATH_S);
    sum += held * Math.min(NOTHING, Math.hypot(now.far - aim.far, now.hard - aim.hard));
    covered += held;
  }
  const off = (sum + NOTHING * Math.max(0, BREATH_S - covered)) / BREATH_S;
  const sway = swayOf(blown);
  return { score: points(1 - off / WORTHLESS - SWAY_COSTS * sway), off, sway };
}

/** How far the strength strays from its own mean around every moment, root mean square. */
function swayOf(moments: readonly BreathMoment[]): number {
  const strays = moments.map(({ seconds, hard }) => {
    const near = moments.filter((each) => Math.abs(each.seconds - seconds) <= SWAY_WITHIN_S / 2);
    // The line through its neighbors: a breath that grows evenly does not tremble.
    const n = near.length;
    const meanT = near.reduce((sum, each) => sum + each.seconds, 0) / n;
    const mean = near.reduce((sum, each) => sum + each.hard, 0) / n;
    const spread = near.reduce((sum, each) => sum + (each.seconds - meanT) ** 2, 0);
    const rise = near.reduce((sum, each) => sum + (each.seconds - meanT) * (each.hard - mean), 0);
    return hard - mean - (spread > 0 ? (rise / spread) * (seconds - meanT) : 0);
  });
  return Math.sqrt(strays.reduce((sum, each) => sum + each * each, 0) / strays.length);
}
