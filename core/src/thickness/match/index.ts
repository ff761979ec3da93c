export { beforePour, type BeforePourFacts, type BeforePourNote, type CupBeforePour } from './beforePour.ts';
export {
  ALIKE_RATIO,
  CLEARLY_THINNER,
  contrast,
  type Consequence,
  type ContrastCode,
  type ContrastFacts,
  type ContrastFinding,
} from './contrast.ts';
export { matchSet, type MatchedCup, type MatchPlan, type SetCup } from './matchSet.ts';
export {
  nextAddition,
  THERE_LN,
  type AddedIngredient,
  type AdditionLimit,
  type MatchCup,
  type MatchIngredient,
  type NextAddition,
  type Stuck,
} from './nextAddition.ts';
export { nextRace, type RaceProposal } from './nextRace.ts';
