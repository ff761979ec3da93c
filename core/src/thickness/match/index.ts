export { beforePour, type BeforePourNote, type CupBeforePour } from './beforePour.ts';
export {
  ALIKE_RATIO,
  CLEARLY_THINNER,
  contrast,
  type ContrastCup,
  type ContrastFinding,
} from './contrast.ts';
export { matchSet, type MatchedCup, type MatchPlan, type SetCup } from './matchSet.ts';
export {
  nextAddition,
  THERE_LN,
  type AddedIngredient,
  type MatchCup,
  type MatchIngredient,
  type NextAddition,
} from './nextAddition.ts';
export { nextRace, type RaceProposal } from './nextRace.ts';
