import { airTool, normalizeDeg, type AirTool } from '../air/index.ts';
import { curveMiddle } from './curve.ts';
import type { Place, Plan, PlanPass } from './plan.ts';

/** Seven slanted breaths, one a petal, not quite even, or the petals look mechanical. */
export const PETALS = [8, 62, 110, 163, 210, 265, 316];
const SLANT_DEG = 25;

/** A pass as it is usual for its tool (common practice, no published source). */
export function usualPass(
  id: string,
  tool: AirTool,
  at: Place,
  directionDeg: number,
  seconds: number,
): PlanPass {
  const { settings, distanceMm } = airTool(tool);
  return {
    id,
    tool,
    blowerId: null,
    setting: settings[0],
    at,
    directionDeg: normalizeDeg(Math.round(directionDeg)),
    distanceMm,
    slantDeg: SLANT_DEG,
    seconds,
  };
}

/** A breath a petal round every stack, the dryer to both sides of every path. */
export function blownOut(plan: Plan, newId: () => string): PlanPass[] {
  return [
    ...plan.stacks.flatMap((stack) => PETALS.map((turn) => usualPass(newId(), 'mouth', stack.at, turn, 3))),
    ...plan.paths
      .filter((path) => path.kind !== 'flood')
      .flatMap((path) => {
        const along = Math.atan2(path.end.x - path.start.x, path.start.y - path.end.y);
        const turn = (along * 180) / Math.PI;
        return [90, 270].map((side) => usualPass(newId(), 'hair-dryer', curveMiddle(path), turn + side, 5));
      }),
  ];
}
