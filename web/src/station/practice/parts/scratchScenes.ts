import { airTool } from '@icy-ribbon/core/flow/air';
import type { CupRole } from '@icy-ribbon/core/paint/stage';
import { EMPTY_PLAN, type Plan, type PlanPaint, type PlanPass } from '@icy-ribbon/core/piece/plan';
import { sceneOf, type Scene } from '@icy-ribbon/core/piece/rehearse';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

/** A ready pour: what it shows, and how it is set up. */
export interface ScratchScene {
  readonly name: string;
  readonly label: string;
  readonly shows: string;
  /** The support does not lie level. */
  readonly tilt?: { readonly deg: number; readonly towardDeg: number };
  make(): Scene;
}

const TILE: SupportSize = { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 18 };
const COLORS = ['#9c4a2c', '#6f93a8', '#8a9a5b', '#26333f', '#b58a3c'];
const NAMES = ['rust', 'rain', 'lichen', 'slate ink', 'brass'];

interface Wanted {
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

const paint = (
  id: string,
  role: CupRole,
  colorHex: string,
  viscosityPaS: number,
  densityGPerMl: number,
): PlanPaint => ({
  ...{ id, name: id, role, colorHex, viscosityPaS, densityGPerMl },
  ...{ opacity: 'semi-opaque', finish: 'plain' },
});

function breath(index: number, of: number, changes: Partial<PlanPass> = {}): PlanPass {
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
const breaths = (changes: Partial<PlanPass> = {}): PlanPass[] =>
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
function bloom(changes: Partial<Wanted> = {}): Scene {
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
    .map((paintId, index) => ({ id: `layer ${index}`, paintId, massG: grams[index]! }))
    .filter(({ massG }) => massG > 0);
  const plan: Plan = {
    ...EMPTY_PLAN,
    base:
      wanted.baseMm > 0
        ? {
            ...{ pattern: 'one', areas: [{ paintId: 'oyster', share: 1 }], seam: null },
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
  return sceneOf(TILE, plan, paints, []);
}

/** A Dutch fan: four colors along a line and an activator beside them, blown out and back. */
function fan(changes: Partial<Wanted> = {}): Scene {
  const wanted = { ...USUAL, paS: 1.2, basePaS: 1.2, activatorPaS: 0.5, baseMm: 1.8, ...changes };
  const paints = [
    paint('oyster', 'base', '#f0ece2', wanted.basePaS, 1.14),
    ...NAMES.slice(0, 4).map((name, index) => paint(name, 'color', COLORS[index]!, wanted.paS, 1.1)),
    {
      ...paint('white activator', 'activator', '#fbf9f5', wanted.activatorPaS, 1.17),
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
      ...{ pattern: 'one', areas: [{ paintId: 'oyster', share: 1 }], seam: null },
      film: { kind: 'thickness', mm: wanted.baseMm },
    },
    paths: [
      {
        ...{ id: 'ribbon', kind: 'ribbon', ...line(125) },
        layers: NAMES.slice(0, 4).map((paintId) => ({ id: paintId, paintId, massG: 3 })),
      },
      {
        ...{ id: 'sheet', kind: 'line', ...line(138) },
        layers: [{ id: 'sheet', paintId: 'white activator', massG: 2.4 }],
      },
    ],
    passes: [
      ...[0, 1, 2, 3, 4].map((index) => dryer(index, false)),
      ...[0, 2, 4].map((index) => dryer(index, true)),
    ],
    settings: EMPTY_PLAN.settings,
  };
  return sceneOf(TILE, plan, paints, []);
}

/** Pours to try, and the usual mistakes beside their causes. */
export const SCRATCH_SCENES: readonly ScratchScene[] = [
  { name: 'bloom', label: 'A bloom', shows: 'Five colors on a pillow, seven breaths.', make: () => bloom() },
  {
    name: 'fan',
    label: 'A Dutch fan',
    shows: 'Four colors on a wetted base, blown out with a dryer and back.',
    make: () => fan(),
  },
  {
    name: 'thin',
    label: 'The bloom in thin paint',
    shows: 'Half as thick everywhere: it runs before it is blown, petals close again.',
    make: () => bloom({ paS: 0.5, basePaS: 0.7, activatorPaS: 0.25 }),
  },
  {
    name: 'thick',
    label: 'The bloom in thick paint',
    shows: 'Three times as thick: the same breath hardly moves it.',
    make: () => bloom({ paS: 4.5, basePaS: 5, activatorPaS: 1.8 }),
  },
  {
    name: 'little-base',
    label: 'Too little base',
    shows: 'A thin film and no pillow: petals drag and stop short.',
    make: () => bloom({ baseMm: 0.5, pillowG: 0 }),
  },
  {
    name: 'much-base',
    label: 'Too much base',
    shows: 'More than twice as deep: everything floats, spreads and runs off the edge.',
    make: () => bloom({ baseMm: 5 }),
  },
  {
    name: 'steep-air',
    label: 'Air straight down',
    shows: 'A dryer held over the middle digs to the support. Tilt it back, if you can.',
    make: () => bloom({ passes: [digging()] }),
  },
  {
    name: 'no-activator',
    label: 'Activator without a dose',
    shows: 'No cell former in it: the sheet stays whole.',
    make: () => bloom({ dose: 0.05 }),
  },
  {
    name: 'double-activator',
    label: 'Activator, double dose',
    shows: 'It opens too early and too wide.',
    make: () => bloom({ dose: 2 }),
  },
  {
    name: 'dense-cup',
    label: 'One heavy cup',
    shows: 'The second color is a third heavier than the rest: it sinks and pushes through.',
    make: () => bloom({ firstDensity: 1.5 }),
  },
  {
    name: 'thin-cup',
    label: 'One thin cup',
    shows: 'The second color is five times thinner: it shoots out ahead of the others.',
    make: () => bloom({ secondPaS: 0.3 }),
  },
  {
    name: 'opaque-low',
    label: 'Opaque paint low',
    shows: 'A heavy opaque color under clear ones: it comes through where they are thin.',
    make: () => bloom({ opaqueLow: true }),
  },
  {
    name: 'slope',
    label: 'Left on a slope',
    shows: 'Two degrees off level: wait, and see how far it creeps. Tilt, then Home, levels it.',
    tilt: { deg: 2, towardDeg: 110 },
    make: () => bloom(),
  },
  {
    name: 'near-edge',
    label: 'A petal that almost reaches the edge',
    shows: 'One breath is longer than the rest: stop it in time, or let it run over.',
    make: () => bloom({ passes: [...breaths().slice(0, 6), breath(6, 7, { seconds: 3.5, slantDeg: 16 })] }),
  },
  {
    name: 'fast-spin',
    label: 'Spun too fast',
    shows: 'A hundred turns a minute: press Spin, and stop it before it warps.',
    make: () => bloom({ spin: [100, 12] }),
  },
  {
    name: 'wrong-way',
    label: 'Blown the wrong way',
    shows: 'Inward instead of outward. Scrape it, lay it again, and blow it out.',
    make: () => bloom({ passes: breaths().map(inward) }),
  },
];

const inward = (pass: PlanPass): PlanPass => ({
  ...pass,
  directionDeg: (pass.directionDeg + 180) % 360,
  at: { x: 125 + 3.4 * (pass.at.x - 125), y: 125 + 3.4 * (pass.at.y - 125) },
});

const digging = (): PlanPass => ({
  ...{ id: 'down', tool: 'hair-dryer', blowerId: null, setting: airTool('hair-dryer').settings[1] },
  ...{ at: { x: 125, y: 125 }, directionDeg: 0, distanceMm: 120, slantDeg: 85, seconds: 4 },
});
