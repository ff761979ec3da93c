export { filmLeftMm, meanFilmLeftMm } from './filmLeft.ts';
export { GRAVITY_MS2, levelingRate } from './level.ts';
export { spreadRadiusMm } from './spread.ts';
export { spunMm } from './spin.ts';
