export { check } from './check.ts';
export { USUAL_FILM_MM } from './film.ts';
export type { CheckCup, CheckInput, Finding } from './finding.ts';
export { applyFix, fixWords, isPlanFix, type Fix, type PlanFix } from './fix.ts';
export { groundUnder, pile } from './ground.ts';
