export { cellsSeen, type CellsSeen } from './cellsSeen.ts';
export { LOOK, composer, splineWeights, type Composed } from './compose.ts';
export { NET } from './net.ts';
export { TABLE } from './noise.ts';
export { LIGHT, pictureNoise, pictureOf, type FilmPicture } from './picture.ts';
export { frameOf, lookOf, type FilmCast, type FilmFrame, type FilmLook, type LayerLook } from './scene.ts';
export { BUCKET_M, SEED_NUMBERS, type PackedSeeds } from './seeds.ts';
