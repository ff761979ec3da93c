export { driftMm } from './drift.ts';
export { filmLeftMm, meanFilmLeftMm } from './filmLeft.ts';
export { GRAVITY_MS2, levelingRate } from './level.ts';
export { restingMm } from './resting.ts';
export { rimHoldsMm } from './rim.ts';
export { spreadRadiusMm } from './spread.ts';
export { spunMm } from './spin.ts';
export { rpmOfShear, spinShearPa } from './spinShear.ts';
export { creepingMm, creepsFromDeg } from './tipTest.ts';
