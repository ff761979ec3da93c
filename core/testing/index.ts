export { BLOOM, BLOOM_PAINTS, BOARD, checkInput, readyCup, RUST } from './check.ts';
export { counting, paint } from './plan.ts';
export { GOOD_BLOOM, pouredCup, spinLineRpmOf } from './pours.ts';
export { inDisc, inEllipse, raster } from './pictures.ts';
export { shot, type Scene, type Shine, type Shot } from './shot.ts';
export { ring } from './ring.ts';
export { FLAT_HEX, flatInput, flatPhoto, halves } from './flatPhoto.ts';
