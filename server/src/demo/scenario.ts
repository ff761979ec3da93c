import type { AirTool } from '@icy-ribbon/core/air';
import type { LayoutName } from '@icy-ribbon/core/plan';
import type { Technique } from '@icy-ribbon/core/thickness';
import type { DemoPaintName, DemoSupportName } from './shelf.ts';

/** One piece of the show "Lichen and Brass" as it is told; numbers are worked out by the builder. */
export interface DemoPiece {
  readonly name: string;
  readonly technique: Technique;
  readonly support: DemoSupportName;
  readonly startedDaysAgo: number;
  /** How far it has come. */
  readonly until: 'started' | 'weighing' | 'mixed' | 'laid' | 'blown' | 'photo' | 'judged';
  readonly base: DemoPaintName;
  readonly colors: readonly DemoPaintName[];
  readonly activator?: DemoPaintName;
  /** How much of the water the hand really poured: 1 as the recipe says. */
  readonly waterShare: number;
  /** How it was planned. */
  readonly layout?: LayoutName;
  readonly passes: readonly DemoPass[];
  readonly tryNext?: string;
  readonly note?: string;
}

export interface DemoPass {
  readonly tool: AirTool;
  readonly setting: string;
  readonly distanceMm: number;
  readonly slantDeg: number;
  readonly directionDeg: number;
  readonly seconds: number;
}

const pass = (
  tool: AirTool,
  setting: string,
  distanceMm: number,
  slantDeg: number,
  directionDeg: number,
  seconds: number,
): DemoPass => ({ tool, setting, distanceMm, slantDeg, directionDeg, seconds });

const dryerAround = (distanceMm: number, slantDeg: number, seconds: number): DemoPass[] =>
  [10, 130, 250].map((direction) => pass('hair-dryer', 'low', distanceMm, slantDeg, direction, seconds));

const breaths = (count: number, distanceMm: number, slantDeg: number): DemoPass[] =>
  Array.from({ length: count }, (_, index) =>
    pass('mouth', 'steady', distanceMm, slantDeg, Math.round((360 * index) / count), 2.5),
  );

export const SCENARIO: readonly DemoPiece[] = [
  {
    name: 'First low water',
    technique: 'dutch',
    support: 'small',
    startedDaysAgo: 118,
    until: 'judged',
    base: 'oyster',
    colors: ['rain', 'lichen', 'rust'],
    waterShare: 1.75,
    passes: dryerAround(120, 45, 6),
    tryNext: 'Less water: the colors ran together. Weigh it instead of pouring by eye.',
  },
  {
    name: 'Slate fan',
    technique: 'dutch',
    support: 'upright',
    startedDaysAgo: 97,
    until: 'judged',
    base: 'slate',
    colors: ['oyster', 'rain', 'brass', 'foam'],
    waterShare: 1,
    passes: [
      pass('hair-dryer', 'low', 160, 25, 0, 5),
      pass('hair-dryer', 'low', 160, 25, 60, 4),
      pass('hair-dryer', 'low', 180, 20, 300, 4),
      pass('straw', 'soft', 40, 40, 180, 3),
    ],
    tryNext: 'Same again on the large panel.',
    note: 'The first one that came out as meant.',
  },
  {
    name: 'Brass moth',
    technique: 'bloom',
    support: 'square',
    startedDaysAgo: 84,
    until: 'judged',
    base: 'wall',
    colors: ['tide', 'ember', 'gilt', 'pebble'],
    activator: 'oyster',
    waterShare: 1,
    passes: breaths(6, 100, 30),
    tryNext: 'A little less activator in the middle.',
  },
  {
    name: 'Rust and rain',
    technique: 'dutch',
    support: 'square',
    startedDaysAgo: 66,
    until: 'judged',
    base: 'foam',
    colors: ['rust', 'rain', 'brass', 'slate'],
    waterShare: 0.85,
    passes: dryerAround(140, 30, 5),
    tryNext: 'Thin the rust a touch more; it stayed behind.',
  },
  {
    name: 'Lichen round',
    technique: 'bloom',
    support: 'round',
    startedDaysAgo: 49,
    until: 'judged',
    base: 'wall',
    colors: ['tide', 'moss', 'foam', 'pebble'],
    activator: 'oyster',
    waterShare: 1,
    passes: [...breaths(5, 70, 70), pass('straw', 'steady', 30, 60, 0, 4)],
    tryNext: 'Slant the breath: straight down dug a hole in the pillow.',
  },
  {
    name: 'Kelp line',
    technique: 'dutch',
    support: 'upright',
    startedDaysAgo: 33,
    until: 'judged',
    base: 'oyster',
    colors: ['kelp', 'rain', 'brass', 'slate'],
    waterShare: 1.05,
    passes: [
      pass('fan-blower', 'low', 200, 25, 90, 6),
      pass('fan-blower', 'low', 200, 25, 270, 6),
      pass('compressor', '1 bar', 60, 30, 45, 3),
    ],
    tryNext: 'Two petals more on the left.',
  },
  {
    name: 'Quiet brass',
    technique: 'bloom',
    support: 'wide',
    startedDaysAgo: 9,
    until: 'judged',
    base: 'wall',
    colors: ['tide', 'plum', 'gilt', 'foam', 'pebble'],
    activator: 'oyster',
    waterShare: 1,
    passes: breaths(7, 110, 25),
    tryNext: 'Keep these numbers.',
    note: 'For the wall at the door.',
  },
  {
    name: 'Tile, second row',
    technique: 'dutch',
    support: 'tile',
    startedDaysAgo: 3,
    until: 'photo',
    base: 'oyster',
    colors: ['lichen', 'rust', 'brass'],
    waterShare: 1.1,
    passes: breaths(4, 80, 35),
  },
  {
    name: 'Lichen drift',
    technique: 'dutch',
    support: 'upright',
    startedDaysAgo: 1,
    until: 'laid',
    base: 'slate',
    colors: ['lichen', 'foam', 'brass', 'rust'],
    waterShare: 1,
    passes: [],
  },
  {
    name: 'Rain shutter',
    technique: 'dutch',
    support: 'square',
    startedDaysAgo: 0.8,
    until: 'mixed',
    base: 'oyster',
    colors: ['rain', 'slate', 'brass', 'lichen'],
    waterShare: 1,
    passes: [],
  },
  {
    name: 'Door panel',
    technique: 'bloom',
    support: 'upright',
    startedDaysAgo: 0.4,
    until: 'mixed',
    base: 'wall',
    colors: ['tide', 'ember', 'gilt'],
    activator: 'oyster',
    waterShare: 1,
    layout: 'center-bloom',
    passes: [],
  },
  {
    name: 'Ember seam',
    technique: 'dutch',
    support: 'upright',
    startedDaysAgo: 0.1,
    until: 'weighing',
    base: 'slate',
    colors: ['rust', 'brass', 'oyster', 'rain'],
    waterShare: 1,
    passes: [],
  },
];
