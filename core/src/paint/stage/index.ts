export { STAGES, stageCenter, stageOf, type Stage, type StageName } from './stage.ts';
export {
  CUP_ROLES,
  TECHNIQUES,
  thicknessWindows,
  windowFit,
  windowFor,
  type CupRole,
  type Technique,
  type ThicknessWindow,
  type WindowFit,
} from './window.ts';
