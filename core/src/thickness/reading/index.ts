export {
  calibrateConstant,
  calibrateDrainCup,
  REFERENCE_SD_LN,
  referenceProperties,
  type CalibratedCup,
  type CalibrationPoint,
  type ReferenceLiquid,
} from './calibrate.ts';
export { combine, type ThicknessReading } from './combine.ts';
export { DRAIN_CUP_NAMES, DRAIN_CUPS, drained, type Drained, type DrainCupName } from './drainCup.ts';
export { eyeOf, type Eye, type Named } from './eye.ts';
export { glycerineDensity, glycerineViscosity } from './glycerine.ts';
export { measured, interpret, unreadable, type Calibrated, type Measure } from './measure.ts';
export { LEAST_MOUND_S, moundSeconds, moundViscosity, USUAL_MOUND_CONSTANT } from './mound.ts';
export { laneLn, RACE_SD_LN, tiltRace, type RaceRun } from './tiltRace.ts';
