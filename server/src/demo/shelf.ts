import type { Finish, MaterialKind, Opacity, Pigment } from '@icy-ribbon/core/paint/material';

/** The paints of the invented studio Fennel Quay. */
export interface DemoPaint {
  readonly name: string;
  readonly hex: string;
  readonly kind: MaterialKind;
  readonly pigment: Pigment;
  readonly finish: Finish;
  readonly opacity: Opacity;
  /** Measured by the studio; left out where nobody has yet. */
  readonly viscosityPaS?: number;
}

const tube = (name: string, hex: string, pigment: Pigment, more: Partial<DemoPaint> = {}): DemoPaint => ({
  name,
  hex,
  kind: 'artist-tube',
  pigment,
  finish: 'plain',
  opacity: 'semi-opaque',
  ...more,
});

export const DEMO_PAINTS = {
  oyster: tube('Oyster', '#e6e1d6', 'titanium-white', { opacity: 'opaque', viscosityPaS: 52 }),
  slate: tube('Slate ink', '#26333f', 'carbon-black', { opacity: 'opaque', viscosityPaS: 38 }),
  lichen: tube('Lichen', '#8fa06a', 'organic'),
  rust: tube('Rust', '#9c4a2c', 'earth', { viscosityPaS: 47 }),
  brass: tube('Brass', '#b08d3e', 'metallic', { finish: 'metallic', opacity: 'semi-transparent' }),
  rain: tube('Rain', '#6f93a8', 'organic'),
  kelp: tube('Kelp', '#2f5a4c', 'organic', { kind: 'student-tube' }),
  foam: tube('Foam', '#cfe3e2', 'titanium-white', { kind: 'fluid' }),
  tide: tube('Deep tide', '#1f3d4d', 'organic', { kind: 'fluid' }),
  ember: tube('Ember', '#b0512e', 'organic', { kind: 'fluid' }),
  gilt: tube('Old gilt', '#b5924a', 'metallic', { kind: 'fluid', finish: 'metallic' }),
  moss: tube('Moss', '#6f8a5a', 'organic', { kind: 'fluid' }),
  pebble: tube('Pebble', '#d9d2c4', 'titanium-white', { kind: 'fluid', opacity: 'opaque' }),
  plum: tube('Plum skin', '#5a2f4a', 'organic', { kind: 'fluid' }),
  wall: tube('Quay white', '#f2f0ea', 'titanium-white', { kind: 'wall-paint', opacity: 'opaque' }),
} as const satisfies Record<string, DemoPaint>;

export type DemoPaintName = keyof typeof DEMO_PAINTS;

/** Grams on the shelf where it is not the usual 60: rain is nearly out. */
export const DEMO_STOCK_G: Partial<Record<DemoPaintName, number>> = {
  oyster: 140,
  slate: 120,
  rain: 4,
  wall: 2400,
  brass: 35,
};

export const DEMO_SUPPORTS = {
  small: {
    kind: 'canvas',
    name: 'Canvas 25 x 25',
    shape: 'rectangle',
    widthMm: 250,
    heightMm: 250,
    sideDepthMm: 18,
  },
  upright: {
    kind: 'canvas',
    name: 'Canvas 30 x 40',
    shape: 'rectangle',
    widthMm: 300,
    heightMm: 400,
    sideDepthMm: 18,
  },
  wide: {
    kind: 'panel',
    name: 'Panel 70 x 50',
    shape: 'rectangle',
    widthMm: 700,
    heightMm: 500,
    sideDepthMm: 38,
  },
  square: {
    kind: 'canvas',
    name: 'Canvas 40 x 40',
    shape: 'rectangle',
    widthMm: 400,
    heightMm: 400,
    sideDepthMm: 18,
  },
  round: { kind: 'panel', name: 'Round 40', shape: 'round', widthMm: 400, heightMm: 400, sideDepthMm: 20 },
  tile: {
    kind: 'tile',
    name: 'Tile 15 x 15',
    shape: 'rectangle',
    widthMm: 150,
    heightMm: 150,
    sideDepthMm: 8,
  },
} as const;

export type DemoSupportName = keyof typeof DEMO_SUPPORTS;

/** The media its recipes take. */
export const DEMO_MEDIA: readonly MaterialKind[] = [
  'flow-conditioner',
  'cell-conditioner',
  'untinted-base',
  'varnish',
  'water',
];
