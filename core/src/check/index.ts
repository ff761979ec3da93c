export {
  check,
  groundUnder,
  pile,
  USUAL_FILM_MM,
  type CheckCup,
  type CheckInput,
  type Finding,
} from './check.ts';
export { applyFix, fixWords, isPlanFix, type Fix, type PlanFix } from './fix.ts';
