/** The product's own colors; paint colors stand only where there is paint. */
export interface Palette {
  readonly paper: string;
  readonly bench: string;
  readonly ice: string;
  readonly iceDeep: string;
  readonly rule: string;
  readonly ink: string;
  readonly inkSoft: string;
  readonly water: string;
  readonly onWater: string;
  readonly brass: string;
  readonly brassInk: string;
  readonly alarm: string;
}

export const LIGHT: Palette = {
  paper: '#f3f7f9',
  bench: '#fbfdfe',
  ice: '#e3eef3',
  iceDeep: '#c3dae5',
  rule: '#cddde5',
  ink: '#15252f',
  inkSoft: '#4b6270',
  water: '#1f6685',
  onWater: '#ffffff',
  brass: '#b98a2b',
  brassInk: '#7d5a10',
  alarm: '#a23324',
};

export const DARK: Palette = {
  paper: '#0d161c',
  bench: '#121e26',
  ice: '#1a2b35',
  iceDeep: '#2a4452',
  rule: '#2b414d',
  ink: '#e4eef3',
  inkSoft: '#9fb6c2',
  water: '#7cc0dc',
  onWater: '#08151c',
  brass: '#d9ac55',
  brassInk: '#e3bd72',
  alarm: '#f0907f',
};

/** Hands the palette to the style sheets as custom properties. */
export function applyPalette(palette: Palette, root: HTMLElement): void {
  for (const [name, value] of Object.entries(palette)) {
    const property = name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
    root.style.setProperty(`--${property}`, value as string);
  }
}
