/** Pa.s for each second on a usual card, until a race says how this one runs. */
const USUAL_CARD_PAS_PER_S = 0.11;

/**
 * How far a dot has run, as a share of the way to the line: x goes with (t / mu)^(1/3). A lane whose dot has
 * crossed stays at the line; one that is late by the forecast waits just before it.
 */
export function runShare(viscosityPaS: number, seconds: number, stoppedAt: number | null): number {
  if (stoppedAt !== null) return 1;
  const forecast = viscosityPaS / USUAL_CARD_PAS_PER_S;
  return Math.min(0.97, Math.cbrt(seconds / forecast));
}

/** A dot and its trail down a lane as an SVG path: a circle before it has run, then as wide all along. */
export function trailPath(x: number, top: number, length: number, radius: number): string {
  const end = top + length - radius;
  const start = Math.min(top + radius, end);
  return `M${x - radius} ${start}A${radius} ${radius} 0 0 1 ${x + radius} ${start}V${end}A${radius} ${radius} 0 0 1 ${x - radius} ${end}Z`;
}
