export { beforePour, type BeforePourFacts, type BeforePourNote, type CupBeforePour } from './beforePour.ts';
export {
  contrast,
  type Consequence,
  type ContrastCode,
  type ContrastFacts,
  type ContrastFinding,
} from './contrast.ts';
export { matchSet, type MatchedCup, type MatchPlan, type SetCup } from './matchSet.ts';
export {
  nextAddition,
  SURE_SHARE,
  THERE_LN,
  type AddedIngredient,
  type AdditionOptions,
  type AdditionLimit,
  type MatchCup,
  type MatchIngredient,
  type NextAddition,
  type Stuck,
} from './nextAddition.ts';
export { thinToStage } from './toStage.ts';
export { MOST_OF_THE_WAY, MOST_OVERSHOOT, safeStep, TOO_FAR_SHARE, type Outlook } from './safeStep.ts';
export { nextRace, type RaceProposal } from './nextRace.ts';
