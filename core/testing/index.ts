export { GOOD_BLOOM, pouredCup } from './pours.ts';
export { inDisc, inEllipse, raster } from './pictures.ts';
