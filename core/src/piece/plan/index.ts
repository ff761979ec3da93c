export { withBasePaint } from './basePaint.ts';
export { replacePaint } from './replacePaint.ts';
export { cupPaint } from './cupPaint.ts';
export { bentThrough, curveAt, curveMiddle, curvePlaces, distanceMm, lengthMm } from './curve.ts';
export {
  EMPTY_PLAN,
  USUAL_FILM,
  type BaseFilm,
  type Place,
  type Plan,
  type PlanBase,
  type PlanLayer,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
  type PlanSettings,
  type PlanStack,
  type Seam,
} from './plan.ts';
export {
  BASE_PATTERNS,
  FLOOD_MOMENTS,
  PATH_KINDS,
  SPREADERS,
  STACK_WAYS,
  USUAL_SETTINGS,
  type BasePattern,
  type FloodMoment,
  type PathKind,
  type Spreader,
  type StackWay,
} from './ways.ts';
export { airPassOf } from './airPass.ts';
export { BLOWINGS, blownAs, blownOut, usualPass, type Blowing } from './passes.ts';
export { planSchema } from './schema.ts';
export { airShape, MOST_LAYER_G, runSeconds, spinRpm, tiltDeg, type AirPass } from './act.ts';
export { areaMm2, broughtOnto, seamShares, seamSides } from './seam.ts';
export {
  align,
  duplicateItems,
  findItem,
  isPath,
  isStack,
  mirror,
  moveInOrder,
  moveItems,
  placeOf,
  removeItems,
  replaceItem,
  type PlanItem,
} from './edit.ts';
export { LAYOUTS, layOut, rowPlaces, usualLayout, type LayoutName } from './layouts.ts';
export { stackAt, type LayoutParts } from './layoutParts.ts';
export { scalePlan, type ScaledPlan } from './scale.ts';
export { PILLOW_PLACES, pillowPlace, withPillow, type PillowPlace } from './pillow.ts';
export { flowerDm2 } from './airTime.ts';
export { pyramid, USUAL_STEP } from './pyramid.ts';
