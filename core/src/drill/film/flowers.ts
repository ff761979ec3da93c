import { unevenness } from '../eye/index.ts';
import { points } from '../schedule/index.ts';

/** As uneven as this is no point for evenness. */
const WORTHLESS = 0.6;
/** What flowers of the right size are worth that are as uneven as that. */
const UNEVEN = 0.4;

export interface FlowersScore {
  readonly score: number;
  /** Spread of the flowers over their mean. */
  readonly uneven: number;
  /** Mean of the flowers over the mean of the flowers of the picture. */
  readonly size: number;
}

/** Points for several flowers: as large as in the picture, and alike among each other; left as they were laid they are none. */
export function scoreFlowers(target: readonly number[], now: readonly number[]): FlowersScore {
  const mean = (areas: readonly number[]) => areas.reduce((sum, each) => sum + each, 0) / areas.length;
  const size = mean(now) / Math.max(1e-9, mean(target));
  const uneven = unevenness(now);
  const sized = size > 0 ? Math.max(0, 1 - Math.abs(Math.log(size)) / Math.log(2)) : 0;
  return {
    score: points(sized * (UNEVEN + (1 - UNEVEN) * Math.max(0, 1 - uneven / WORTHLESS))),
    uneven,
    size,
  };
}
