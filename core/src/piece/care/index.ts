export { type CareData, type CareEventOf, type CareKind, type LoggedCare } from './event.ts';
export {
  CARE_CHECKS,
  CLOSING_STEPS,
  DECISIONS,
  FINE_WORKS,
  type CareCheck,
  type ClosingStep,
  type Decision,
  type FineWork,
} from './choices.ts';
export { CARE_DATA } from './kinds.ts';
export { careInForce, careState, fallLine, isDone, isGone, type CareState } from './state.ts';
export { DATE_KINDS, lifeFacts, workDates, type DatedPiece, type DateKind, type WorkDate } from './dates.ts';
export { careInShort, type CareInShort } from './inShort.ts';
export { dryingRisks, RISK_CODES, type DryingRisk, type RiskCode } from './risk.ts';
export { freeMm, GAP_MM, lyingIn, stillFits, type Lying, type RackShelf, type RackSlot } from './rack.ts';
