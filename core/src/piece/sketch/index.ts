export { sketchAmounts, SKETCH_RESERVE, type SketchAmount } from './amounts.ts';
export { markAreaMm2, markMask, type SketchGrid } from './area.ts';
export { outlineOf, type Sketch, type SketchMark, type SketchPoint } from './mark.ts';
export { MARK_KINDS, type MarkKind } from './markKinds.ts';
export { sketchSchema } from './schema.ts';
export { sketchPlan } from './toPlan.ts';
