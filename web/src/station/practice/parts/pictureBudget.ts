/** Canvas pixels a pixel of the page. */
export interface Density {
  /** While paint moves. */
  readonly moving: number;
  /** Of a picture that stands. */
  readonly standing: number;
}

const MOST = 1.5;
const LEAST = 0.3;
/** Before it is known how fast this machine is: coarse for one picture only. */
export const FIRST_DENSITY: Density = { moving: 0.4, standing: 0.4 };
/** A picture of moving paint may take so long, ms; coarser where it takes longer, finer where it takes much less. */
const PICTURE_MS = 60;
const QUICK_MS = 30;
const MOST_REST_MS = 250;
/** One that stands may take so long. */
const STANDING_MS = 1500;

/**
 * How fine the next pictures are, by how long the last one took: weak machines draw fewer pixels, and rest after each picture as long as
 * it took, so that whatever else is to be done has half of the time.
 *
 * @param density of the last picture
 * @param tookMs how long it took
 * @param finest of this screen
 */
export function nextDensity(density: number, tookMs: number, finest: number): Density {
  const most = Math.min(MOST, finest);
  const least = Math.min(LEAST, most);
  // Pixels go by the square.
  const fitting = (ms: number) => density * Math.sqrt(ms / Math.max(1, tookMs));
  const isFitting = tookMs >= QUICK_MS && tookMs <= PICTURE_MS;
  const moving = isFitting ? density : fitting((QUICK_MS + PICTURE_MS) / 2);
  const within = (value: number) => Math.min(most, Math.max(least, value));
  return { moving: within(moving), standing: within(fitting(STANDING_MS)) };
}

/** Before the next picture, ms. */
export const restMs = (tookMs: number): number => (tookMs > QUICK_MS ? Math.min(tookMs, MOST_REST_MS) : 0);
