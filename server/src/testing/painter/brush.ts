import { linearRgb } from '@icy-ribbon/core/picture';

/** One touch of a brush, filled anew for every point so that nothing is allocated. */
export interface Touch {
  /** Number of the label, `labelNames` gives its word; -1 off the support. */
  label: number;
  /** Number of the cell the point lies in, from 1; 0 in none. */
  cell: number;
  /** Linear color. */
  r: number;
  g: number;
  b: number;
}

/** Paints one point of the face, in millimeters from its top left. */
export type Brush = (x: number, y: number, into: Touch) => void;

export type Rgb = readonly [number, number, number];
export const MUD: Rgb = [0.155, 0.128, 0.098];

/** Mixes two linear colors. */
export function mix(a: Rgb, b: Rgb, share: number): Rgb {
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}

export function dab(into: Touch, label: number, cell: number, color: Rgb, light = 1): void {
  into.label = label;
  into.cell = cell;
  into.r = color[0] * light;
  into.g = color[1] * light;
  into.b = color[2] * light;
}

export const colorOf = (hex: string): Rgb => linearRgb(hex);
