export { layProblem } from './lay.ts';
export {
  dataOf,
  eventsOfKind,
  type EventData,
  type EventKind,
  type LoggedEvent,
  type PassData,
  type RepairLayer,
} from './event.ts';
export type { FacePlace, Mark, Spot } from './mark.ts';
export { laidMgOf, inForce, logWithout } from './log.ts';
export { EVENT_DATA } from './kinds.ts';
export { nextStep, runSheet, stepStates, type RunStep, type StepGrams, type StepState } from './runSheet.ts';
export { isLaidPath, type LaidPath, type LaidShape, type LaidStack } from './shape.ts';
export { shapeOfStep } from './stepShape.ts';
export { eventOfStep, type LoggedStep, type StepDone } from './ofStep.ts';
export { planOfPour, type PouredPaint } from './again.ts';
