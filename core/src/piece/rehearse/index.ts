export { commonLayers } from './filmLayers.ts';
export { sceneOf, type LayShape, type Scene, type SceneLay, type SceneLayer } from './scene.ts';
export { emptyStage, lay, looksOf, sceneGrid, USUAL_UNKNOWNS, type FilmUnknowns } from './stage.ts';
export { airOf, rehearsedSpeed, settingSpeed, strokeOf, type Stroke } from './stroke.ts';
