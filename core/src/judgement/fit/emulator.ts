import { FIT_DESIGN, FIT_NAMES, type Offset } from './unknowns.ts';

/** What a pour comes to, as numbers in a fixed order. */
export type Outcomes = readonly number[];

/** Beyond this many spreads the curve of a run is not followed on: a parabola would turn back. */
const FOLLOWED = 1.5;

/**
 * What a pour would come to at any offset, from its runs at the design's.
 *
 * Law: a parabola in each unknown through its three runs, added up (a response surface without cross terms); beyond 1.5 spreads it goes on
 * straight.
 *
 * @param runs in the order of the design
 */
export function emulate(runs: readonly Outcomes[], offset: Offset): number[] {
  const usual = runs[0]!;
  return usual.map((middle, of) =>
    FIT_NAMES.reduce((sum, _, at) => {
      const [low, high] = [runs[1 + 2 * at]![of]!, runs[2 + 2 * at]![of]!];
      const slope = (high - low) / 2;
      const bend = (high + low) / 2 - middle;
      const z = offset[at]!;
      const near = Math.max(-FOLLOWED, Math.min(FOLLOWED, z));
      return sum + slope * near + bend * near * near + (z - near) * (slope + 2 * bend * near);
    }, middle),
  );
}

/** How the outcomes change with each unknown there: a row an outcome. */
export function slopesAt(runs: readonly Outcomes[], offset: Offset): number[][] {
  return runs[0]!.map((middle, of) =>
    FIT_NAMES.map((_, at) => {
      const [low, high] = [runs[1 + 2 * at]![of]!, runs[2 + 2 * at]![of]!];
      const near = Math.max(-FOLLOWED, Math.min(FOLLOWED, offset[at]!));
      return (high - low) / 2 + 2 * ((high + low) / 2 - middle) * near;
    }),
  );
}

export const RUNS_OF_POUR = FIT_DESIGN.length;
