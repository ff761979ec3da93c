/**
 * The look in numbers: everything that is colored, written or spaced reads it here (style sheets as custom
 * properties, the component kit through its theme, drawings and charts directly). What each is for: docs/look.md.
 */

/** Colors of one appearance. Paint colors are no part of it: they stand only where there is paint. */
export interface Palette {
  /** Ground of the frame: rail, top, tray, sheets beside the bench. */
  readonly paper: string;
  /** Ground of the work. */
  readonly bench: string;
  /** Ground under a drawing, and of what cannot be used now. */
  readonly ice: string;
  /** Darker stretches in a drawing: windows of the ribbon, the support's sides. */
  readonly iceDeep: string;
  /** Fine rules between rows and parts. */
  readonly rule: string;
  /** Borders of what can be typed in or pressed: 3 to 1 against every ground. */
  readonly edge: string;
  readonly ink: string;
  readonly inkSoft: string;
  /** Links, focus, how far things have come. */
  readonly water: string;
  readonly onWater: string;
  /** The next action, the target line, what is off target; nothing else. */
  readonly brass: string;
  readonly onBrass: string;
  /** Brass as text. */
  readonly brassInk: string;
  readonly alarm: string;
  /** What is left out of a measured photo. */
  readonly mask: string;
  readonly shadow: string;
  /** How wide paint is edged (px): in the dark, paint darker than the ground would be lost without. */
  readonly paintEdge: string;
}

export const LIGHT: Palette = {
  paper: '#f3f7f9',
  bench: '#fbfdfe',
  ice: '#e3eef3',
  iceDeep: '#c3dae5',
  rule: '#cddde5',
  edge: '#6a8494',
  ink: '#15252f',
  inkSoft: '#4b6270',
  water: '#1f6685',
  onWater: '#ffffff',
  brass: '#c0932f',
  onBrass: '#15252f',
  brassInk: '#765409',
  alarm: '#a23324',
  mask: '#15252f2e',
  shadow: '#0a1e2824',
  paintEdge: '1px',
};

export const DARK: Palette = {
  paper: '#0d161c',
  bench: '#121e26',
  ice: '#1a2b35',
  iceDeep: '#2a4452',
  rule: '#2b414d',
  edge: '#6b8797',
  ink: '#e4eef3',
  inkSoft: '#9fb6c2',
  water: '#7cc0dc',
  onWater: '#08151c',
  brass: '#d9ac55',
  onBrass: '#15252f',
  brassInk: '#e3bd72',
  alarm: '#f0907f',
  mask: '#e4eef32e',
  shadow: '#00000080',
  paintEdge: '1.5px',
};

/** Lines over a photo, light in dark, so that they show on every paint; the same in both appearances. */
export const ON_PHOTO = { line: '#ffffff', edge: '#0b1a24', sign: '#7a4f00', held: '#d9ac55' } as const;

/** Areas found in a photo, laid over it: red, green, blue and how much of it covers (0 to 255). */
export const PHOTO_AREAS = {
  net: [31, 102, 133, 190],
  mud: [192, 147, 47, 190],
  glare: [255, 255, 255, 200],
} as const;

/** What was found of a base coat, laid over its picture: bare ground, ground that shimmers through, what light hides. */
export const COAT_AREAS = [
  [217, 172, 85, 210],
  [217, 172, 85, 110],
  [255, 255, 255, 200],
] as const;

/** Cells from small to large: pale to deep water, the largest brass; told apart by the width of the line as well. */
export const CELL_SIZES = ['#eaf5fa', '#b5d8e6', '#74b0c9', '#3d86a6', '#d9ac55'] as const;

/** A face as it is sold, before any paint is on it. */
export const PRIMED_GROUND = '#f2f0ea';

/** Where a paint's color is not known, and a reading that nobody's color belongs to. */
export const UNKNOWN_PAINT = '#9aa7ae';

/** Browsers set text in this, px, unless their reader asked for another size. */
export const USUAL_TEXT = 16;

/** Sizes of type by what they are read for: px where the reader's browser has text at its usual size, in proportion where not. */
export const TYPE = {
  /** What stands beside: labels, units, sources. */
  note: 13,
  /** Everything that is read at the table. */
  text: 15,
  /** Heads of parts, numbers to compare. */
  lead: 18,
  /** The name of a screen or a piece. */
  title: 24,
  /** The piece in hand, one number that matters. */
  name: 32,
  /** The step at the bench, read from two meters. */
  step: 48,
  /** The number at the scale and the clock. */
  numeral: 96,
} as const;

export const WEIGHT = { plain: 400, strong: 600 } as const;

/** Every padding, margin and gap is one of these (px). */
export const SPACE = [0, 1, 2, 4, 6, 8, 12, 16, 24, 32, 48] as const;

/** What is pressed with a wet glove is at least this high and wide (px). */
export const TOUCH = { field: 40, choice: 48, step: 64 } as const;

export const FACE = "'Figtree Variable', system-ui, sans-serif";

const dashed = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** Hands the palette to the style sheets as custom properties. */
export function applyPalette(palette: Palette, root: HTMLElement): void {
  for (const [name, value] of Object.entries(palette)) {
    root.style.setProperty(`--${dashed(name)}`, value as string);
  }
}

/** Hands what is the same in both appearances to the style sheets. */
export function applyTokens(root: HTMLElement): void {
  const tokens: Record<string, string> = { '--face': FACE };
  for (const [name, px] of Object.entries(TYPE)) tokens[`--type-${name}`] = `${px / USUAL_TEXT}rem`;
  for (const [name, weight] of Object.entries(WEIGHT)) tokens[`--weight-${name}`] = String(weight);
  for (const [name, px] of Object.entries(TOUCH)) tokens[`--touch-${name}`] = `${px}px`;
  for (const [name, color] of Object.entries(ON_PHOTO)) tokens[`--photo-${name}`] = color;
  for (const [name, value] of Object.entries(tokens)) root.style.setProperty(name, value);
}
