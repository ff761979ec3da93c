export { depthAtMm, middleNear, middleOf, rehearsalNumbers, type RehearsalNumbers } from './numbers.ts';
export { rehearsalPhoto } from './picture.ts';
export { sceneOfPour } from './recordScene.ts';
export { spacingForCells } from './spacing.ts';
