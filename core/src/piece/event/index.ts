export { layProblem } from './lay.ts';
export { laidMgOf, standing, without, type LoggedEvent } from './log.ts';
export { nextStep, runSheet, stepStates, type RunStep, type StepState } from './runSheet.ts';
export { planOfPour, type PouredPaint } from './again.ts';
