export { layProblem } from './lay.ts';
export {
  dataOf,
  eventsOfKind,
  type EventData,
  type EventKind,
  type FacePlace,
  type LoggedEvent,
  type PassData,
} from './event.ts';
export { laidMgOf, inForce, logWithout } from './log.ts';
export { nextStep, runSheet, stepStates, type RunStep, type StepState } from './runSheet.ts';
export { isLaidPath, type LaidPath, type LaidShape, type LaidStack } from './shape.ts';
export { shapeOfStep } from './stepShape.ts';
export { planOfPour, type PouredPaint } from './again.ts';
