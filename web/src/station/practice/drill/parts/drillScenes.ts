import type { DrillName } from '@icy-ribbon/core/drill/schedule';
import { EMPTY_PLAN, type Plan, type PlanPass } from '@icy-ribbon/core/piece/plan';
import { sceneOf, type Scene } from '@icy-ribbon/core/piece/rehearse';
import {
  ACTIVATOR,
  bloom,
  breaths,
  COLORS,
  fan,
  NAMES,
  OYSTER,
  paint,
  TILE,
} from '#station/practice/parts/readyPours.ts';

/** Cells along the longer side: a picture and what is blown to become like it have the same. */
export const DRILL_CELLS = 112;
/** The same where it has to be worked out ahead while the artist plays. */
export const AHEAD_CELLS = 84;

const COLORS_LAID = 3;
const base = (film: number): Pick<Plan, 'base'> => ({
  base: {
    ...{ pattern: 'one', areas: [{ cupId: 'oyster', share: 1 }], seam: null },
    film: { kind: 'thickness', mm: film },
  },
});
const paints = () => [
  paint('oyster', 'base', OYSTER, 1.2, 1.14),
  ...NAMES.slice(0, COLORS_LAID).map((name, index) => paint(name, 'color', COLORS[index]!, 1.2, 1.1)),
  { ...paint('white activator', 'activator', ACTIVATOR, 0.5, 1.17), doseFactor: 1 },
];

/** A crescent of colors along one edge, blown in toward the middle. */
function crescent(): Scene {
  const line = (y: number) => ({ start: { x: 45, y }, control: { x: 125, y: y - 34 }, end: { x: 205, y } });
  const dryer = (index: number): PlanPass => ({
    ...{ id: `dryer ${index}`, tool: 'hair-dryer', blowerId: null, setting: 'low' },
    ...{ at: { x: 65 + 40 * index, y: index === 1 || index === 2 ? 218 : 232 } },
    ...{ directionDeg: -21 + 14 * index, distanceMm: 160, slantDeg: 25, seconds: 1.8 },
  });
  const plan: Plan = {
    ...EMPTY_PLAN,
    ...base(1.8),
    paths: [
      {
        ...{ id: 'crescent', kind: 'ribbon', ...line(192) },
        layers: NAMES.slice(0, COLORS_LAID).map((name) => ({ id: name, cupId: name, massG: 3 })),
      },
      {
        ...{ id: 'sheet', kind: 'line', ...line(203) },
        layers: [{ id: 'sheet', cupId: 'white activator', massG: 2 }],
      },
    ],
    passes: [0, 1, 2, 3].map(dryer),
    settings: EMPTY_PLAN.settings,
  };
  return { ...sceneOf(TILE, plan, paints(), []), waitSeconds: 0 };
}

const PUFF_MM = 5;

/** Six small piles, each blown by mouth in four directions. */
function six(): Scene {
  const places = [70, 180].flatMap((y) => [52, 125, 198].map((x) => ({ x, y })));
  const puff = (at: { x: number; y: number }, pile: number, turn: number): PlanPass => ({
    ...{ id: `puff ${pile} ${turn}`, tool: 'mouth', blowerId: null, setting: 'soft' },
    at: {
      x: at.x + PUFF_MM * Math.sin((turn * Math.PI) / 180),
      y: at.y - PUFF_MM * Math.cos((turn * Math.PI) / 180),
    },
    ...{ directionDeg: turn, distanceMm: 90, slantDeg: 25, seconds: 0.5 },
  });
  const plan: Plan = {
    ...EMPTY_PLAN,
    ...base(1.6),
    stacks: places.map((at, pile) => ({
      ...{ id: `flower ${pile}`, at, footprintMm: 60 },
      layers: [...NAMES.slice(0, COLORS_LAID), 'white activator'].map((cupId, index) => ({
        ...{ id: `${pile} ${cupId}`, cupId, massG: [1.2, 0.9, 0.6, 0.25][index]! },
      })),
    })),
    passes: places.flatMap((at, pile) => [0, 180, 90, 270].map((turn) => puff(at, pile, turn))),
    settings: EMPTY_PLAN.settings,
  };
  return { ...sceneOf(TILE, plan, paints(), []), waitSeconds: 0 };
}

/** What a drill lays on the bench; its own passes make the picture that is to be blown. */
export const DRILL_SCENES = {
  crescent,
  fan: () => fan(),
  bloom: () => bloom(),
  six,
} as const satisfies Partial<Record<DrillName, () => Scene>>;
export type PictureDrill = keyof typeof DRILL_SCENES;

/** A bloom that is blown already, to be spun. */
export const blownBloom = (): Scene => ({ ...bloom({ passes: breaths({ seconds: 0.9 }) }), spin: null });

const ROUNDS = 3;

/** A bloom that breath after breath goes round, farther out each time: too often in the end. */
export function workedOverBloom(): Scene {
  const passes = Array.from({ length: ROUNDS }, (_, round) =>
    breaths({ seconds: 1.1, slantDeg: 20 }).map((pass) => {
      const out = 1 + 2 * round;
      const turned = (pass.directionDeg + (360 * round) / (7 * ROUNDS)) % 360;
      const turn = (turned * Math.PI) / 180;
      return {
        ...pass,
        id: `${pass.id} ${round}`,
        directionDeg: turned,
        at: { x: 125 + 14 * out * Math.sin(turn), y: 125 - 14 * out * Math.cos(turn) },
      };
    }),
  ).flat();
  return bloom({ passes });
}
