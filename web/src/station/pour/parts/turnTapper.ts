const FORGET_MS = 4000;
const MOST_TAPS = 6;

/** Turns a minute from taps, one a turn: the mean of the last gaps; a long pause begins anew. */
export function useTurnTapper(found: (rpm: number) => void, now: () => number = () => performance.now()) {
  let taps: number[] = [];
  return {
    tap(): void {
      const at = now();
      const last = taps.at(-1);
      taps = last === undefined || at - last > FORGET_MS ? [at] : [...taps.slice(1 - MOST_TAPS), at];
      const first = taps[0]!;
      if (taps.length > 1) found(Math.round((60_000 * (taps.length - 1)) / (at - first)));
    },
  };
}
