export { driftPerSlope } from './drift.ts';
export { dryingFilm } from './film.ts';
export { driedPours, learnDrying, type DriedPour } from './learn.ts';
