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

/** A dot and its trail down a lane as an SVG path: round below, narrower above. */
export function trailPath(x: number, top: number, length: number, radius: number): string {
  const neck = radius * 0.62;
  const end = top + length;
  return [
    `M${x - neck} ${top}`,
    `A${neck} ${neck} 0 0 1 ${x + neck} ${top}`,
    `C${x + neck} ${top + length * 0.6} ${x + radius} ${end - radius * 1.4} ${x + radius} ${end - radius}`,
    `A${radius} ${radius} 0 0 1 ${x - radius} ${end - radius}`,
    `C${x - radius} ${end - radius * 1.4} ${x - neck} ${top + length * 0.6} ${x - neck} ${top}Z`,
  ].join('');
}
