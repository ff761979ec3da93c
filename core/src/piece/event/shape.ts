import {
  PATH_KINDS,
  type BasePattern,
  type FloodMoment,
  type PathKind,
  type Place,
  type Seam,
  type StackWay,
} from '../plan/index.ts';

/**
 * Where paint was laid and how it lies, in mm from the top left of the face: over all of it, on a pile, or along a line.
 * Layers of one pile or line name the same item.
 */
export type LaidShape =
  | {
      readonly kind: 'face';
      readonly pattern: BasePattern;
      /** Which area of the pattern, from 0. */
      readonly area: number;
      readonly seam: Seam | null;
    }
  | {
      readonly kind: 'stack';
      readonly itemId: string;
      readonly at: Place;
      readonly footprintMm: number;
      readonly way?: StackWay | undefined;
    }
  | {
      readonly kind: PathKind;
      readonly itemId: string;
      readonly start: Place;
      readonly control: Place;
      readonly end: Place;
      readonly moment?: FloodMoment | undefined;
    };

export type LaidPath = Extract<LaidShape, { readonly control: Place }>;
export type LaidStack = Extract<LaidShape, { readonly kind: 'stack' }>;

export const isLaidPath = (shape: LaidShape): shape is LaidPath =>
  (PATH_KINDS as readonly string[]).includes(shape.kind);
