import { moundSeconds } from '@icy-ribbon/core/thickness/reading';

/** How long a stickful runs back before it ends, and how long a turn of the card lasts, s. */
export const RUN_S = 2.2;
export const TURN_S = 5;
const FALL_S = 0.25;
/** What the stickful brings on top of the cup, mm of height a second. */
const INFLOW_MM_S = 25;
const HIGHEST_MM = 12;
/** A mound counts as gone at a hundredth of its height, as the mound's own law has it. */
const GONE_LN = Math.log(100);
/** Thinner than this the stream dents the surface instead. */
const DENTING_PAS = 0.12;

export interface StickfulAt {
  /** Height of the mound, mm; below 0 for a dent. */
  readonly heightMm: number;
  /** How far down the ribbon hangs, 0 to 1; 0 when it has run out. */
  readonly ribbon: number;
  /** Width of the ribbon where it lands, mm. */
  readonly widthMm: number;
}

/**
 * What a stickful looks like at a moment of its turn: it runs back for a while, piles up as fast as it
 * levels, and sinks when it has run out. In real time, by the leveling law that mound seconds rest on.
 */
export function stickfulAt(viscosityPaS: number, seconds: number): StickfulAt {
  const t = seconds % TURN_S;
  const decayS = moundSeconds(viscosityPaS) / GONE_LN;
  const widthMm = 0.9 + 1.7 * Math.log(1 + 2 * viscosityPaS);
  const landed = Math.min(Math.max(0, t - FALL_S), RUN_S);
  const since = Math.max(0, t - FALL_S - RUN_S);
  const ribbon = t < FALL_S ? t / FALL_S : t < FALL_S + RUN_S ? 1 : 0;
  if (viscosityPaS < DENTING_PAS) {
    const depth = 1.2 + 1.5 * Math.log(DENTING_PAS / viscosityPaS);
    return { heightMm: since > 0 || landed === 0 ? 0 : -depth, ribbon, widthMm };
  }
  const piled = INFLOW_MM_S * decayS * (1 - Math.exp(-landed / decayS));
  return {
    heightMm: Math.min(HIGHEST_MM, piled) * Math.exp(-since / decayS),
    ribbon,
    widthMm,
  };
}

/** The moment that tells the stages apart: the stickful still runs, and has piled up or dented all that it will, s. */
export const TELLING_S = FALL_S + RUN_S - 0.05;

/** What still stands of the mound so long after the stickful has run out, mm: it tells the stages apart in a still picture. */
export const moundLaterMm = (viscosityPaS: number, seconds = 1): number =>
  Math.max(0, stickfulAt(viscosityPaS, FALL_S + RUN_S + seconds).heightMm);

/** The surface alone, as a line over the cup. */
export const surfaceLine = (...of: Parameters<typeof surfacePath>): string =>
  surfacePath(...of)
    .replace(/^M0 [\d.]+L/, 'M')
    .replace(/L[\d.]+ [\d.]+Z$/, '');

/** The surface of the cup with its mound as an SVG path, closed along the bottom; 1 unit is 1 mm. */
export function surfacePath(
  heightMm: number,
  frame: { width: number; level: number; bottom: number },
): string {
  const middle = frame.width / 2;
  const spread = 7;
  const points = Array.from({ length: 41 }, (_, at) => {
    const x = (frame.width * at) / 40;
    const y = frame.level - heightMm * Math.exp(-(((x - middle) / spread) ** 2));
    return `${x.toFixed(1)} ${y.toFixed(2)}`;
  });
  return `M0 ${frame.bottom}L${points.join('L')}L${frame.width} ${frame.bottom}Z`;
}
