import { airTool, settingSpeed, type AirTool } from '../../flow/air/index.ts';
import type { FilmAir } from '../../flow/solver/index.ts';
import { exitOf, type BlowerExit } from '../amount/index.ts';
import { airPassOf, type AirPass, type Place, type PlanPass } from '../plan/index.ts';

/** A pass as it is blown: from the exit of its blower, drawn along a line. */
export interface Stroke extends AirPass {
  readonly exitSpeedMS: number;
  readonly exitDiameterMm: number;
  /** At its end, where it is blown harder. */
  readonly endSpeedMS: number;
  readonly from: Place;
  readonly to: Place;
}

/** What a person's breath and the film model's friction leave open, until measured pours say more (an assumption). */
export const USUAL_STRENGTH = { breath: 2, other: 1 } as const;

/**
 * Exit speed of a tool as the film model takes it, m/s.
 *
 * @param strength of this artist's breath, times the tool's usual one
 * @example rehearsedSpeed('mouth', 'steady', 15, 2) // 30
 */
export const rehearsedSpeed = (
  tool: AirTool,
  setting: string,
  exitSpeedMS: number,
  strength: number = USUAL_STRENGTH.breath,
): number =>
  exitSpeedMS *
  settingSpeed(tool, setting) *
  (airTool(tool).power === 'breath' ? strength : USUAL_STRENGTH.other);

/** The air follows the paint it pushes: so far in a second, mm, and beyond the rim of a pile by so much (common practice). */
const FOLLOW_MM_S = 25;
const FOLLOW_MOST_MM = 80;
const BEYOND_MM = 15;

/**
 * A pass of the plan as it is blown.
 *
 * @param toRimMm how far the rim of the pile lies ahead of where it begins; 0 over none
 */
export function strokeOf(
  pass: PlanPass,
  blowers: readonly BlowerExit[],
  strength: number = USUAL_STRENGTH.breath,
  toRimMm = 0,
): Stroke {
  const exit = exitOf(pass, blowers);
  const speed = (setting: string) => rehearsedSpeed(pass.tool, setting, exit.exitSpeedMS, strength);
  const toward = (pass.directionDeg * Math.PI) / 180;
  const slant = (pass.slantDeg * Math.PI) / 180;
  const past = toRimMm > 0 ? toRimMm + BEYOND_MM : 0;
  const follow = Math.cos(slant) * Math.min(FOLLOW_MOST_MM, Math.max(past, FOLLOW_MM_S * pass.seconds));
  return {
    ...airPassOf(pass),
    exitSpeedMS: speed(pass.setting),
    exitDiameterMm: exit.exitDiameterMm,
    endSpeedMS: speed(pass.end?.setting ?? pass.setting),
    from: pass.at,
    to: {
      x: pass.at.x + follow * Math.sin(toward),
      y: pass.at.y - follow * Math.cos(toward),
    },
  };
}

/** Radius, mm, and seconds of one round when the hand or the head circles (common practice). */
const ROUND_MM = 12;
const ROUND_S = 0.6;

/**
 * The air of a stroke at a moment.
 *
 * @param share of its time, 0 to 1
 */
export function airOf(stroke: Stroke, share: number): FilmAir {
  const between = (from: number, to: number) => from + (to - from) * share;
  const isCircling = stroke.way === 'circling';
  const turn = isCircling ? (2 * Math.PI * share * stroke.seconds) / ROUND_S : 0;
  const round = isCircling ? ROUND_MM : 0;
  return {
    exitSpeedMS: between(stroke.exitSpeedMS, stroke.endSpeedMS),
    exitDiameterMm: stroke.exitDiameterMm,
    distanceMm: between(stroke.distanceMm, stroke.end?.distanceMm ?? stroke.distanceMm),
    slantDeg: stroke.slantDeg,
    directionDeg: stroke.directionDeg,
    xMm: between(stroke.from.x, stroke.to.x) + round * Math.sin(turn),
    yMm: between(stroke.from.y, stroke.to.y) + round * (Math.cos(turn) - 1),
  };
}
