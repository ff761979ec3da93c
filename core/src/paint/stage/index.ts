export { AIMS, aimsOf, NO_AIMS, type AimKey, type Aims } from './aims.ts';
export { LIMITS } from './limits.ts';
export { STAGES, stageCenter, stageOf, type Stage, type StageName } from './stage.ts';
export {
  chanceInside,
  CUP_ROLES,
  thicknessWindows,
  windowFit,
  windowFor,
  type CupRole,
  type ThicknessWindow,
  type WindowFit,
} from './window.ts';
export { TECHNIQUES, type Technique } from './technique.ts';
