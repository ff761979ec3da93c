/** The part of spectral.js (Kubelka-Munk mixing on reflectance curves) that is used here. */
declare module 'spectral.js' {
  export class Color {
    constructor(hexOrCurve: string | readonly number[]);
    tintingStrength: number;
    readonly luminance: number;
    /** Absorption over scattering, a wavelength each. */
    readonly KS: readonly number[];
    readonly lRGB: readonly number[];
    readonly OKLab: readonly [number, number, number];
    toString(options?: { format?: 'hex'; method?: 'clip' | 'map' }): string;
  }
  export function mix(...colors: readonly (readonly [Color, number])[]): Color;
}
