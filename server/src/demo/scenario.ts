import type { AirTool } from '@icy-ribbon/core/flow/air';
import type { BlownPass, FaultKind } from '@icy-ribbon/core/judgement/outcome';
import type { LayoutName } from '@icy-ribbon/core/piece/plan';
import type { Technique } from '@icy-ribbon/core/paint/stage';
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
  /** How much conditioner went into the activator, as a multiple of the recipe's: more is thinner. */
  readonly activatorThinner?: number;
  /** Grams of activator as a multiple of the usual. */
  readonly activatorDose?: number;
  /** Seconds it stood after the air. */
  readonly waitSeconds?: number;
  readonly spin?: { readonly rpm: number; readonly seconds: number };
  readonly torches?: number;
  readonly torchedLate?: boolean;
  readonly faults?: readonly FaultKind[];
  /** Photographed wet and again when dry. */
  readonly twice?: boolean;
  /** How it was planned. */
  readonly layout?: LayoutName;
  readonly passes: readonly ToldPass[];
  readonly tryNext?: string;
  readonly note?: string;
}

/** A pass, and where it began as a share of the face; left out: beside the middle, on the side the air goes to. */
export type ToldPass = BlownPass & { readonly from?: readonly [across: number, down: number] };

const pass = (
  tool: AirTool,
  setting: string,
  distanceMm: number,
  slantDeg: number,
  directionDeg: number,
  seconds: number,
  from?: ToldPass['from'],
): ToldPass => ({ tool, setting, distanceMm, slantDeg, directionDeg, seconds, ...(from && { from }) });

/** From below the ribbon, the left end first, spread like a fan: the base pushes the colors out. */
const fanned = (
  count: number,
  tool: AirTool,
  setting: string,
  distanceMm: number,
  slantDeg: number,
  seconds: number,
): ToldPass[] =>
  spread(count, (share) =>
    pass(
      tool,
      setting,
      distanceMm,
      slantDeg,
      (360 + Math.round(70 * share + strayed(share))) % 360,
      seconds,
      [0.5 + 0.44 * share, 0.7],
    ),
  );

/** From above, straight back over their ends. */
const blownBack = (
  count: number,
  tool: AirTool,
  setting: string,
  distanceMm: number,
  seconds: number,
): ToldPass[] =>
  spread(count, (share) =>
    pass(tool, setting, distanceMm, 25, Math.round(180 - 40 * share - strayed(share)), seconds, [
      0.5 + 0.4 * share,
      0.26,
    ]),
  );

/** By so many degrees a hand strays from an even round. */
const strayed = (share: number): number => 9 * Math.sin(17 * share + 1);

/** So many, from -0.5 to 0.5. */
const spread = (count: number, told: (share: number) => ToldPass): ToldPass[] =>
  Array.from({ length: count }, (_, index) => told(count > 1 ? index / (count - 1) - 0.5 : 0));

const breaths = (count: number, distanceMm: number, slantDeg: number): ToldPass[] =>
  Array.from({ length: count }, (_, index) =>
    pass(
      'mouth',
      'steady',
      distanceMm,
      slantDeg,
      (360 + Math.round((360 * index) / count + strayed(index / count))) % 360,
      2.5,
    ),
  );

/** The first and the last ones, told one by one. */
const TOLD: readonly DemoPiece[] = [
  {
    name: 'First low water',
    technique: 'dutch',
    support: 'small',
    startedDaysAgo: 118,
    until: 'judged',
    base: 'oyster',
    colors: ['rain', 'lichen', 'rust'],
    waterShare: 1.75,
    passes: fanned(5, 'hair-dryer', 'low', 120, 45, 2.5),
    tryNext:
      'Less water: the air tore the colors and drove them over the edge. Weigh it instead of pouring by eye.',
    faults: ['broken-film'],
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
    passes: [...fanned(5, 'hair-dryer', 'low', 160, 25, 2.2), ...blownBack(3, 'hair-dryer', 'low', 130, 1.1)],
    tryNext: 'Same again on the large panel.',
    twice: true,
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
    activator: 'slate',
    activatorDose: 1.4,
    waterShare: 1,
    passes: breaths(6, 100, 30),
    twice: true,
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
    passes: [...fanned(6, 'hair-dryer', 'low', 140, 30, 2.4), ...blownBack(4, 'hair-dryer', 'low', 140, 1.2)],
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
    activator: 'slate',
    activatorDose: 1.6,
    waterShare: 1,
    passes: [...breaths(5, 70, 70), pass('straw', 'steady', 30, 60, 0, 4)],
    tryNext: 'Slant the breath: straight down dug a hole in the pillow.',
    faults: ['dented'],
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
    passes: [...fanned(4, 'fan-blower', 'low', 200, 25, 2.5), ...blownBack(2, 'straw', 'soft', 60, 1.2)],
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
    activator: 'slate',
    activatorDose: 1.4,
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
    passes: [...fanned(4, 'mouth', 'soft', 110, 30, 1), ...blownBack(2, 'mouth', 'soft', 110, 0.6)],
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
    activator: 'slate',
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

type Trial = readonly [
  name: string,
  daysAgo: number,
  colors: readonly DemoPaintName[],
  activatorThinner: number,
  activatorDose: number,
  distanceMm: number,
  slantDeg: number,
  waitSeconds: number,
  more?: Partial<DemoPiece>,
];

/** A winter of small blooms, one thing changed at a time and sometimes two. */
const BLOOM_TRIALS: readonly Trial[] = [
  ['Small bloom 1', 112, ['ember', 'gilt', 'foam'], 0.55, 1.5, 100, 30, 90],
  ['Small bloom 2', 108, ['ember', 'gilt', 'foam'], 0.8, 1, 100, 30, 90],
  ['Small bloom 3', 103, ['ember', 'moss', 'foam'], 1.1, 1, 110, 30, 100],
  ['Small bloom 4', 94, ['plum', 'gilt', 'foam'], 1.5, 1, 100, 25, 120],
  ['Small bloom 5', 90, ['plum', 'moss', 'foam'], 1.5, 1.6, 140, 25, 120, { faults: ['washed-out'] }],
  ['Small bloom 6', 79, ['ember', 'moss', 'foam'], 1.9, 1, 160, 25, 120, { faults: ['sunk'] }],
  ['Small bloom 7', 73, ['ember', 'plum', 'foam'], 1.9, 0.6, 160, 25, 40],
  ['Small bloom 8', 61, ['plum', 'gilt', 'foam'], 1.3, 1.2, 55, 80, 90, { faults: ['dented'] }],
  ['Small bloom 9', 56, ['ember', 'gilt', 'foam'], 1.3, 1, 200, 20, 120],
  [
    'Small bloom 10',
    44,
    ['moss', 'gilt', 'foam'],
    1.7,
    1,
    120,
    25,
    150,
    { spin: { rpm: 95, seconds: 12 }, faults: ['warped'] },
  ],
  [
    'Small bloom 11',
    38,
    ['ember', 'moss', 'foam'],
    1.7,
    0.9,
    180,
    25,
    150,
    { spin: { rpm: 35, seconds: 20 } },
  ],
  ['Small bloom 12', 21, ['plum', 'gilt', 'foam'], 2.1, 1, 180, 22, 150],
];

/** Dutch pours on the same canvases, the dryer moved back bit by bit. */
const DUTCH_TRIALS: readonly Trial[] = [
  ['Tide table 1', 87, ['rain', 'rust', 'brass'], 0, 0, 110, 35, 60],
  ['Tide table 2', 70, ['rain', 'rust', 'brass'], 0, 0, 150, 30, 60, { waterShare: 1.15 }],
  ['Tide table 3', 52, ['rain', 'rust', 'brass'], 0, 0, 190, 25, 90, { waterShare: 1.3 }],
  [
    'Tide table 4',
    27,
    ['kelp', 'rust', 'brass'],
    0,
    0,
    150,
    25,
    90,
    { waterShare: 1.6, faults: ['broken-film'] },
  ],
];

const trial = (
  technique: Technique,
  [name, daysAgo, colors, thinner, dose, distance, slant, wait, more]: Trial,
): DemoPiece => ({
  name,
  technique,
  support: 'small',
  startedDaysAgo: daysAgo,
  until: 'judged',
  base: technique === 'bloom' ? 'wall' : 'slate',
  colors,
  ...(technique === 'bloom' && {
    activator: 'slate' as const,
    activatorThinner: thinner,
    activatorDose: dose,
  }),
  waterShare: 1,
  passes:
    technique === 'bloom'
      ? breaths(6, distance, slant)
      : [
          ...fanned(4, 'hair-dryer', 'low', distance, slant, 2.2),
          ...blownBack(2, 'hair-dryer', 'low', distance, 1),
        ],
  waitSeconds: wait,
  torches: 1,
  ...more,
});

/** Tiles that still dry, poured after everything else was drawn by lot. */
const WET: readonly DemoPiece[] = [
  {
    name: 'Tile, third row',
    technique: 'dutch',
    support: 'tile',
    startedDaysAgo: 0.3,
    until: 'blown',
    base: 'slate',
    colors: ['foam', 'rust', 'brass'],
    waterShare: 1,
    passes: [...fanned(4, 'mouth', 'soft', 110, 30, 1), ...blownBack(2, 'mouth', 'soft', 110, 0.6)],
  },
  {
    name: 'Tile, corner',
    technique: 'dutch',
    support: 'tile',
    startedDaysAgo: 0.95,
    until: 'photo',
    base: 'oyster',
    colors: ['kelp', 'rust', 'brass'],
    waterShare: 1.05,
    passes: [...fanned(4, 'mouth', 'soft', 110, 30, 1), ...blownBack(2, 'mouth', 'soft', 110, 0.6)],
  },
];

/** The show "Lichen and Brass": four months of pours, oldest first. */
export const SCENARIO: readonly DemoPiece[] = [
  ...TOLD,
  ...BLOOM_TRIALS.map((each) => trial('bloom', each)),
  ...DUTCH_TRIALS.map((each) => trial('dutch', each)),
]
  .sort((a, b) => b.startedDaysAgo - a.startedDaysAgo)
  // Last, so that what is drawn by lot for the others stays as it was.
  .concat(WET);
