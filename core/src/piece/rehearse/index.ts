export { commonLayers } from './filmLayers.ts';
export { sceneOf, type LayShape, type Scene, type SceneLay, type SceneLayer } from './scene.ts';
export { emptyStage, lay, castOf, sceneGrid, USUAL_UNKNOWNS, type FilmUnknowns } from './stage.ts';
export { carriedMm } from './carried.ts';
export { airOf, rehearsedSpeed, strokeOf, type Stroke } from './stroke.ts';
export {
  cutAcross,
  frameNow,
  keep,
  layMore,
  NO_PUSH,
  pushOn,
  scrape,
  startRehearsal,
  stepBack,
  torch,
  type Push,
  type Rehearsal,
} from './rehearsal.ts';
export {
  isPlanned,
  varied,
  WHAT_IF_CAUSES,
  whatIfCauses,
  whatIfRuns,
  whatIfValues,
  type Variant,
  type WhatIfCause,
  type WhatIfRun,
} from './whatIf.ts';
export { rehearseWhole, wholeSeconds, type WholeWatch } from './whole.ts';
