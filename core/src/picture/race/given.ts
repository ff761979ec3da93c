import { linearRgb } from '../../paint/color/oklab.ts';
import type { LaidFace } from '../coat/index.ts';
import { labOf, type Dot } from './dots.ts';

/** Which dot each lane started from; undefined where there is none of its color. */
export interface Given {
  readonly dots: readonly (Dot | undefined)[];
  /** Another way to give them out would be about as good. */
  readonly isUnsure: boolean;
}

/** Two ways to give dots to lanes that differ by less, in OKLab, cannot be told apart by color. */
const ALIKE = 0.02;
/** A dot whose color is farther off is none of the lane's. */
const FARTHEST = 0.3;
/** Lanes are listed from left to right as a rule: what speaks for that, in OKLab for each pair that is the other way round. */
const ORDER = 0.004;

/** Gives dots to lanes so that their colors are nearest in all. */
export function givenTo(
  lanes: readonly { readonly hex: string }[],
  dots: readonly Dot[],
  coatLight: LaidFace['coatLight'],
): Given {
  const seen = dots.map(({ ratio }) => labOf(ratio, coatLight));
  const wanted = lanes.map(({ hex }) => labOf(linearRgb(hex), [1, 1, 1]));
  // How light paints look depends on the camera: their hue and strength count more.
  const far = wanted.map((a) =>
    seen.map((b) => Math.hypot(0.5 * (a[0]! - b[0]!), a[1]! - b[1]!, a[2]! - b[2]!)),
  );
  let best = { sum: Infinity, way: [] as readonly number[] };
  let second = Infinity;
  for (const way of waysOf(lanes.length, dots.length)) {
    const sum = way.reduce(
      (all, dot, lane) => all + (dot < 0 ? FARTHEST : Math.min(FARTHEST, far[lane]![dot]!)),
      0,
    );
    const told = sum + ORDER * turned(way);
    if (told < best.sum) {
      second = best.sum;
      best = { sum: told, way };
    } else if (told < second) second = told;
  }
  return {
    dots: best.way.map((dot, lane) => (dot >= 0 && far[lane]![dot]! < FARTHEST ? dots[dot] : undefined)),
    isUnsure: second - best.sum < ALIKE,
  };
}

/** Pairs of lanes that would lie the other way round. */
function turned(way: readonly number[]): number {
  let count = 0;
  way.forEach((dot, lane) => {
    for (const before of way.slice(0, lane)) if (dot >= 0 && before > dot) count += 1;
  });
  return count;
}

/** All ways to give each lane a dot of its own, or none where there are too few. */
function waysOf(lanes: number, dots: number): number[][] {
  const none = Math.max(0, lanes - dots);
  const out: number[][] = [];
  const go = (way: number[], left: number): void => {
    if (way.length === lanes) {
      out.push(way);
      return;
    }
    for (let dot = 0; dot < dots; dot += 1) if (!way.includes(dot)) go([...way, dot], left);
    if (left > 0) go([...way, -1], left - 1);
  };
  go([], none);
  return out;
}
