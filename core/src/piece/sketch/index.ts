export { sketchAmounts, SKETCH_RESERVE, type SketchAmount } from './amounts.ts';
export { markAreaMm2, markMask, type SketchGrid } from './area.ts';
export {
  MARK_KINDS,
  outlineOf,
  type MarkKind,
  type Sketch,
  type SketchMark,
  type SketchPoint,
} from './mark.ts';
export { sketchPlan } from './toPlan.ts';
