import { airTool, normalizeDeg, settingsOf, type AirTool, type PassEnd } from '../../flow/air/index.ts';
import { flowerSeconds, turnsOf } from './airTime.ts';
import { curveMiddle } from './curve.ts';
import type { Place, Plan, PlanPass, PlanStack } from './plan.ts';

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
  return {
    id,
    tool,
    blowerId: null,
    setting: settingsOf(tool)[0]!,
    at,
    directionDeg: normalizeDeg(Math.round(directionDeg)),
    distanceMm: airTool(tool).distanceMm,
    slantDeg: SLANT_DEG,
    seconds,
  };
}

/** A breath lands a little off the middle of the flower, on the side it blows to (common practice). */
const OFF_MIDDLE = 0.12;

/** One breath out of a stack's middle. */
export function breathOut(
  id: string,
  tool: AirTool,
  { at, footprintMm }: Pick<PlanStack, 'at' | 'footprintMm'>,
  directionDeg: number,
  seconds: number,
): PlanPass {
  const turn = (directionDeg * Math.PI) / 180;
  const off = OFF_MIDDLE * footprintMm;
  const place = { x: at.x + off * Math.sin(turn), y: at.y - off * Math.cos(turn) };
  const pass = usualPass(id, tool, place, directionDeg, seconds);
  return airTool(tool).power === 'breath' ? { ...pass, end: drawnBack(pass) } : pass;
}

/** A breath starts near and soft, and ends farther off and harder (common practice). */
const DRAWN_BACK = 1.6;
const drawnBack = ({ tool, distanceMm }: PlanPass): PassEnd => ({
  distanceMm: Math.round((DRAWN_BACK * distanceMm) / 5) * 5,
  setting: settingsOf(tool).at(-1)!,
});

/** How a flower is blown: a breath a petal, the head circling, or one blast in the middle and then around. */
export const BLOWINGS = ['petals', 'circling', 'blast-first'] as const;
export type Blowing = (typeof BLOWINGS)[number];

/** The passes over a flower, blown in one of the three ways (common practice). */
export function blownAs(
  blowing: Blowing,
  stack: Pick<PlanStack, 'at' | 'footprintMm'>,
  newId: () => string,
  tool: AirTool = 'mouth',
): PlanPass[] {
  const breath = (turn: number, passes: number) =>
    breathOut(newId(), tool, stack, turn, flowerSeconds(stack.footprintMm, passes));
  const petals = turnsOf(stack.footprintMm, PETALS);
  switch (blowing) {
    case 'petals':
      return petals.map((turn) => breath(turn, petals.length));
    case 'circling':
      return [0, 120, 240].map((turn) => ({ ...breath(turn, 3), way: 'circling' }));
    case 'blast-first':
      return [
        { ...breath(0, petals.length + 1), at: stack.at, slantDeg: BLAST_SLANT_DEG },
        ...petals.map((turn) => breath(turn, petals.length + 1)),
      ];
  }
}
/** One blast comes from higher, but not straight down, or it digs. */
const BLAST_SLANT_DEG = 40;

/** A breath a petal round every stack, the dryer to both sides of every path. */
export function blownOut(plan: Plan, newId: () => string): PlanPass[] {
  return [
    ...plan.stacks.flatMap((stack) => blownAs('petals', stack, newId)),
    ...plan.paths
      .filter((path) => path.kind !== 'flood')
      .flatMap((path) => {
        const along = Math.atan2(path.end.x - path.start.x, path.start.y - path.end.y);
        const turn = (along * 180) / Math.PI;
        return [90, 270].map((side) => usualPass(newId(), 'hair-dryer', curveMiddle(path), turn + side, 5));
      }),
  ];
}
