import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import { PATH_KINDS } from '../plan/index.ts';
import type { laidShapeSchema } from './kinds.ts';

/**
 * Where paint was laid and how it lies, in mm from the top left of the face: over all of it, on a pile, or along a line.
 * Layers of one pile or line name the same item.
 */
export type LaidShape = ReadonlyDeep<z.output<typeof laidShapeSchema>>;
export type LaidPath = Extract<LaidShape, { readonly control: unknown }>;
export type LaidStack = Extract<LaidShape, { readonly kind: 'stack' }>;

export const isLaidPath = (shape: LaidShape): shape is LaidPath =>
  (PATH_KINDS as readonly string[]).includes(shape.kind);
