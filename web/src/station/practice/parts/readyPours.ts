import type { CupRole } from '@icy-ribbon/core/paint/stage';
import { EMPTY_PLAN, type Plan, type PlanPaint, type PlanPass } from '@icy-ribbon/core/piece/plan';
import { sceneOf, type Scene } from '@icy-ribbon/core/piece/rehearse';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

export const TILE: SupportSize = { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 18 };
export const COLORS = ['#9c4a2c', '#6f93a8', '#8a9a5b', '#26333f', '#b58a3c'];
/** The base and the activator of the drills. */
export const OYSTER = '#f0ece2';
export const ACTIVATOR = '#fbf9f5';
export const NAMES = ['rust', 'rain', 'lichen', 'slate ink', 'brass'];

export interface Wanted {
  readonly paS: number;
  readonly basePaS: number;
  readonly activatorPaS: number;
  readonly dose: number;
  readonly baseMm: number;
  readonly pillowG: number;
  readonly firstDensity: number;
  /** Viscosity of the second color, where it is another. */
  readonly secondPaS: number | null;
  /** The lowest color hides what lies below it, the others let it through. */
  readonly opaqueLow: boolean;
  readonly passes: readonly PlanPass[];
  readonly spin: readonly [rpm: number, seconds: number];
}

export const paint = (
  id: string,
  role: CupRole,
  colorHex: string,
  viscosityPaS: number,
  densityGPerMl: number,
): PlanPaint => ({
  ...{ id, name: id, role, colorHex, viscosityPaS, densityGPerMl },
  ...{ opacity: 'semi-opaque', finish: 'plain' },
});

export function breath(index: number, of: number, changes: Partial<PlanPass> = {}): PlanPass {
  const turn = (360 * ((index * 3) % of)) / of;
  const out = 14;
  return {
    ...{ id: `breath ${index}`, tool: 'mouth', blowerId: null, setting: 'steady' },
    at: {
      x: 125 + out * Math.sin((turn * Math.PI) / 180),
      y: 125 - out * Math.cos((turn * Math.PI) / 180),
    },
    ...{ directionDeg: turn, distanceMm: 90, slantDeg: 22, seconds: 1.2 },
    end: { distanceMm: 130, setting: 'strong' },
    ...changes,
  };
}
export const breaths = (changes: Partial<PlanPass> = {}): PlanPass[] =>
  Array.from({ length: 7 }, (_, index) => breath(index, 7, changes));

const HEAVY_OPAQUE = { opacity: 'opaque', densityGPerMl: 1.45 } as const;
const CLEAR = { opacity: 'transparent' } as const;

const USUAL: Wanted = {
  ...{ paS: 1.5, basePaS: 2.2, activatorPaS: 0.6, dose: 1, baseMm: 2.2, pillowG: 18, firstDensity: 1.12 },
  ...{ secondPaS: null, opaqueLow: false },
  passes: breaths(),
  spin: [0, 0],
};

/** A bloom of five colors on a pillow. */
export function bloom(changes: Partial<Wanted> = {}): Scene {
  const wanted = { ...USUAL, ...changes };
  const paints = [
    paint('oyster', 'base', '#e9e4d8', wanted.basePaS, 1.09),
    paint('pillow', 'pillow', '#e9e4d8', wanted.basePaS, 1.08),
    ...NAMES.map((name, index) => ({
      ...paint(
        name,
        'color',
        COLORS[index]!,
        index === 1 ? (wanted.secondPaS ?? wanted.paS) : wanted.paS,
        index === 1 ? wanted.firstDensity : 1.1 + 0.01 * index,
      ),
      ...(wanted.opaqueLow && (index === 0 ? HEAVY_OPAQUE : CLEAR)),
    })),
    {
      ...paint('white activator', 'activator', '#f7f3ea', wanted.activatorPaS, 1.19),
      doseFactor: wanted.dose,
    },
  ];
  const grams = [wanted.pillowG, 4.4, 3.6, 3, 2.2, 1.5, 0.55];
  const layers = ['pillow', ...NAMES, 'white activator']
    .map((cupId, index) => ({ id: `layer ${index}`, cupId, massG: grams[index]! }))
    .filter(({ massG }) => massG > 0);
  const plan: Plan = {
    ...EMPTY_PLAN,
    base:
      wanted.baseMm > 0
        ? {
            ...{ pattern: 'one', areas: [{ cupId: 'oyster', share: 1 }], seam: null },
            film: { kind: 'thickness', mm: wanted.baseMm },
          }
        : null,
    stacks: [{ id: 'flower', at: { x: 125, y: 125 }, footprintMm: 150, layers }],
    passes: wanted.passes,
    settings: {
      ...EMPTY_PLAN.settings,
      standSeconds: 3,
      spinRpm: wanted.spin[0],
      spinSeconds: wanted.spin[1],
    },
  };
  return { ...sceneOf(TILE, plan, paints, []), waitSeconds: 0 };
}

/** A Dutch fan: four colors along a line and an activator beside them, blown out and back. */
export function fan(changes: Partial<Wanted> = {}): Scene {
  const wanted = { ...USUAL, paS: 1.2, basePaS: 1.2, activatorPaS: 0.5, baseMm: 1.8, ...changes };
  const paints = [
    paint('oyster', 'base', OYSTER, wanted.basePaS, 1.14),
    ...NAMES.slice(0, 4).map((name, index) => paint(name, 'color', COLORS[index]!, wanted.paS, 1.1)),
    {
      ...paint('white activator', 'activator', ACTIVATOR, wanted.activatorPaS, 1.17),
      doseFactor: wanted.dose,
    },
  ];
  const line = (y: number) => ({ start: { x: 60, y }, control: { x: 125, y: y - 10 }, end: { x: 190, y } });
  const dryer = (index: number, back: boolean): PlanPass => ({
    ...{ id: `${back ? 'back' : 'out'} ${index}`, tool: 'hair-dryer', blowerId: null, setting: 'low' },
    at: back ? { x: 78 + 24 * index, y: 62 } : { x: 78 + 24 * index, y: 176 },
    directionDeg: back ? 180 : -14 + 7 * index,
    ...{ distanceMm: back ? 130 : 150, slantDeg: 25, seconds: back ? 1.1 : 2.2 },
  });
  const plan: Plan = {
    ...EMPTY_PLAN,
    base: {
      ...{ pattern: 'one', areas: [{ cupId: 'oyster', share: 1 }], seam: null },
      film: { kind: 'thickness', mm: wanted.baseMm },
    },
    paths: [
      {
        ...{ id: 'ribbon', kind: 'ribbon', ...line(125) },
        layers: NAMES.slice(0, 4).map((cupId) => ({ id: cupId, cupId, massG: 3 })),
      },
      {
        ...{ id: 'sheet', kind: 'line', ...line(138) },
        layers: [{ id: 'sheet', cupId: 'white activator', massG: 2.4 }],
      },
    ],
    passes: [
      ...[0, 1, 2, 3, 4].map((index) => dryer(index, false)),
      ...[0, 2, 4].map((index) => dryer(index, true)),
    ],
    settings: EMPTY_PLAN.settings,
  };
  return { ...sceneOf(TILE, plan, paints, []), waitSeconds: 0 };
}
