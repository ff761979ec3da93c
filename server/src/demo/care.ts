import type { Shelf } from '@icy-ribbon/contract';
import type { CareData, CareKind } from '@icy-ribbon/core/piece/care';

/** The studio's two shelves. */
export const DEMO_SHELVES = [
  {
    kind: 'shelf',
    name: 'By the window, upper',
    depthMm: 520,
    slots: [
      { id: 'left', name: 'left', widthMm: 760 },
      { id: 'right', name: 'right', widthMm: 760 },
    ],
  },
  {
    kind: 'shelf',
    name: 'By the window, lower',
    depthMm: 420,
    slots: [
      { id: 'tiles', name: 'tiles', widthMm: 400 },
      { id: 'middle', name: 'middle', widthMm: 540 },
      { id: 'right', name: 'right', widthMm: 580 },
    ],
  },
] as const satisfies readonly Omit<Shelf, 'id' | 'version' | 'createdAt' | 'updatedAt' | 'deletedAt'>[];

type Told = {
  readonly [Kind in CareKind]: readonly [piece: string, daysAgo: number, kind: Kind, data: CareData[Kind]];
}[CareKind];

const SHOW = 'Lichen and Brass';
const fine = (what: CareData['check']['what']): CareData['check'] => ({
  what,
  found: false,
  mm: null,
  note: '',
});

/** Where a piece lies: the shelf by its number above, and the slot. */
const at = (shelf: 0 | 1, slotId: string) => ({ shelf, slotId });

export const DEMO_PLACES: Readonly<Record<string, { shelf: 0 | 1; slotId: string }>> = {
  'Quiet brass': at(0, 'left'),
  'Small bloom 12': at(0, 'right'),
  'Tile, second row': at(1, 'tiles'),
  'Tile, third row': at(1, 'tiles'),
  'Tile, corner': at(0, 'right'),
  'Tide table 4': at(1, 'middle'),
  'Kelp line': at(1, 'right'),
};

/** What happened to the pieces after their pours: every state once. */
export const demoCare = (opensOn: string): readonly Told[] => [
  ['Tile, third row', 0.2, 'level', { acrossMmPerM: 3, downMmPerM: -1 }],
  ['Tile, corner', 0.8, 'level', { acrossMmPerM: 0, downMmPerM: 0.5 }],
  ['Tile, second row', 0.6, 'level', { acrossMmPerM: 0, downMmPerM: 0 }],
  ['Quiet brass', 2, 'check', fine('cracks')],
  ['Quiet brass', 2, 'check', { what: 'flatness', found: true, mm: 2, note: 'bowed toward the paint' }],
  ['Quiet brass', 2, 'decide', { what: 'finish', note: '' }],
  ['Quiet brass', 2, 'show', { name: SHOW, opensOn, hanging: 'wire, at the door' }],
  ['Small bloom 12', 12, 'check', fine('wet-against-dry')],
  ['Small bloom 12', 12, 'check', fine('cracks')],
  ['Small bloom 12', 2, 'coat', { kind: 'resin', mg: 142_000, potId: null, note: '' }],
  ['Small bloom 12', 2, 'decide', { what: 'finish', note: '' }],
  ['Small bloom 12', 1, 'show', { name: SHOW, opensOn, hanging: '' }],
  ['Tide table 4', 15, 'check', { what: 'pinholes', found: true, mm: null, note: 'two near the rim' }],
  ['Tide table 4', 14, 'decide', { what: 'alter', note: 'the lower third is empty' }],
  ['Kelp line', 0.2, 'coat', { kind: 'varnish', mg: 16_000, potId: null, note: '1 of 4' }],
  ['Slate fan', 60, 'coat', { kind: 'resin', mg: 268_000, potId: null, note: '' }],
  ['Slate fan', 50, 'decide', { what: 'finish', note: '' }],
  [
    'Slate fan',
    40,
    'price',
    { hours: 3.5, paintCents: 640, supportCents: 900, coatCents: 1450, otherCents: 0, askedCents: 28_000 },
  ],
  ['Slate fan', 30, 'sale', { to: 'a neighbor', cents: 26_000 }],
  ['Brass moth', 60, 'decide', { what: 'hang', note: '' }],
  ['Brass moth', 20, 'show', { name: SHOW, opensOn, hanging: 'wire' }],
  [
    'Brass moth',
    20,
    'price',
    { hours: 4, paintCents: 980, supportCents: 1200, coatCents: 0, otherCents: 300, askedCents: 32_000 },
  ],
  ['Lichen round', 30, 'coat', { kind: 'resin', mg: 230_000, potId: null, note: '' }],
  ['Lichen round', 12, 'show', { name: SHOW, opensOn, hanging: 'key' }],
  ['Small bloom 8', 50, 'decide', { what: 'crop', note: '' }],
  ['First low water', 90, 'decide', { what: 'ground', note: '' }],
  ['Tide table 1', 70, 'decide', { what: 'wash-off', note: '' }],
];

/** When pieces were found touch-dry, hours after their pour: forecasts have learned from it. */
export const DEMO_TOUCH_DRY: Readonly<Record<string, number>> = {
  'Quiet brass': 74,
  'Small bloom 12': 62,
  'Small bloom 11': 58,
  'Tide table 4': 40,
  'Kelp line': 31,
};
