import { USUAL_RPM } from '../../piece/check/index.ts';
import { CLEARLY_THINNER } from '../../thickness/match/index.ts';

/**
 * Where the trade's experience draws its lines (common practice, no published source). What lies beyond a line begins
 * to explain a fault; the aims are what to change to.
 */
export const LIMITS = {
  /** Mass of activator to mass of colors in a bloom. */
  activatorShare: { least: 0.06, aim: 0.1, most: 0.16 },
  /** Viscosity of the activator to that of the colors, at most. */
  activatorToColors: { aim: 1 / 3, most: CLEARLY_THINNER },
  /** An activator is never aimed thicker than this, Pa·s. */
  activatorAimPaS: 0.9,
  /** Pillow and colors under the air of a bloom, mm. */
  pillowMm: { least: 4 },
  /** The share of the face that a bloom stands on before it is blown. */
  bloomShareOfFace: 1 / 3,
  /** The share of the depth of paint that a dent may take. */
  dentShare: 0.9,
  /** From this slant on air counts as straight down, degrees. */
  straightDownDeg: 70,
  /** Thickest to thinnest color. */
  colorRatio: { most: 1.6 },
  /** The neighbors of a color to the color, viscosity. */
  neighborRatio: { most: 1.3 },
  /** How much denser than its neighbors a color is when that begins to tell, as a share. */
  denser: 0.03,
  /** Its share of the colors to an equal share. */
  littleOfColor: 0.6,
  /** Base or pillow, g on a square decimeter. */
  baseGPerDm2: { least: 8, aim: 11, most: 15 },
  /** Air, seconds on a square decimeter. */
  airSPerDm2: { least: 1, most: 4 },
  /** Mass of water in a cup, and in one whose paint has little binder. */
  waterFraction: { most: 0.3, mostWithWeakBinder: 0.22 },
  /** Turns a minute. */
  spinRpm: { most: USUAL_RPM },
  /** Wet paint laid on the face, mm. */
  wetPaintMm: { most: 3.2 },
  /** Hours until most bubbles have left a mix, and until all have. */
  restHours: { least: 1, aim: 8 },
} as const;

/** Weight of "too far beyond a limit": none well within, begins to tell at it, sure at about half as much again. */
export const beyond = (value: number, limit: number): number =>
  Math.min(1, Math.max(0, 0.35 + 1.3 * Math.log(value / limit)));
