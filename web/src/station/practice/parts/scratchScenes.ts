import type { PlanPass } from '@icy-ribbon/core/piece/plan';
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { bloom, breath, breaths, fan } from './readyPours.ts';

/** A ready pour: what it shows, and how it is set up. */
export interface ScratchScene {
  readonly name: string;
  readonly label: string;
  readonly shows: string;
  /** The support does not lie level. */
  readonly tilt?: { readonly deg: number; readonly directionDeg: number };
  make(): Scene;
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
    tilt: { deg: 2, directionDeg: 110 },
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
  ...{ id: 'down', tool: 'hair-dryer', blowerId: null, setting: 'high' },
  ...{ at: { x: 125, y: 125 }, directionDeg: 0, distanceMm: 120, slantDeg: 85, seconds: 4 },
});
