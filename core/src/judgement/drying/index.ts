export { driftPerSlope } from './drift.ts';
export { dryingFilm } from './film.ts';
export { learnDrying, type DriedPour } from './learn.ts';
