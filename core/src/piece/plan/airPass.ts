import type { AirPass } from './act.ts';

/** The air of a pass, without what its plan, log or record wraps around it. */
export const airPassOf = ({
  tool,
  setting,
  distanceMm,
  slantDeg,
  directionDeg,
  seconds,
  end,
  way,
}: AirPass): AirPass => ({
  ...{ tool, setting, distanceMm, slantDeg, directionDeg, seconds },
  ...(end && { end }),
  ...(way && { way }),
});
