import {
  PATH_KINDS,
  type BasePattern,
  type PathKind,
  type Place,
  type Plan,
  type Seam,
} from '../plan/index.ts';
import type { RunStep } from './runSheet.ts';

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
  | { readonly kind: 'stack'; readonly itemId: string; readonly at: Place; readonly footprintMm: number }
  | {
      readonly kind: PathKind;
      readonly itemId: string;
      readonly start: Place;
      readonly control: Place;
      readonly end: Place;
    };

export type LaidPath = Extract<LaidShape, { readonly control: Place }>;
export type LaidStack = Extract<LaidShape, { readonly kind: 'stack' }>;

export const isLaidPath = (shape: LaidShape): shape is LaidPath =>
  (PATH_KINDS as readonly string[]).includes(shape.kind);

/** Where a step of the run sheet lays its paint; null for a step that lays none, or one the plan does not have. */
export function shapeOfStep(plan: Plan, step: RunStep): LaidShape | null {
  if (step.kind !== 'lay') return null;
  const { itemId } = step;
  if (itemId === null) {
    if (!plan.base) return null;
    return { kind: 'face', pattern: plan.base.pattern, area: step.number - 1, seam: plan.base.seam };
  }
  const stack = plan.stacks.find(({ id }) => id === itemId);
  if (stack) return { kind: 'stack', itemId, at: stack.at, footprintMm: stack.footprintMm };
  const path = plan.paths.find(({ id }) => id === itemId);
  if (!path) return null;
  const { kind, start, control, end } = path;
  return { kind, itemId, start, control, end };
}
