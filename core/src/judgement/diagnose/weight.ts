/** A weight above this speaks for a cause; what lies just at a limit does not yet. */
export const LIKELY = 0.4;

/** Weight of "too far beyond a limit": none well within, begins to tell at it, sure at about two thirds as much again. */
export const beyond = (value: number, limit: number): number =>
  Math.min(1, Math.max(0, 0.35 + 1.3 * Math.log(value / limit)));
