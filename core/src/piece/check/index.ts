export { check } from './check.ts';
export { USUAL_FILM_MM } from './film.ts';
export type { CheckCup, CheckInput, Finding, FindingCode, FindingFacts } from './finding.ts';
export { applyFix, isPlanFix, type Fix, type PlanFix } from './fix.ts';
export { USUAL_SHEET_MM } from './stacks.ts';
export { groundUnder, pile } from './ground.ts';
