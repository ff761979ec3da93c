export { coatOf, type Coat } from './coat.ts';
export { COAT_LIGHT, laidFace, type LaidFace } from './laid.ts';
