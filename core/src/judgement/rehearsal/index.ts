export { depthAtMm, middleOf, rehearsalNumbers, type RehearsalNumbers } from './numbers.ts';
export { rehearsalPhoto } from './picture.ts';
export { spacingForCells } from './spacing.ts';
