export {
  beliefOf,
  expected,
  observe,
  observeBelow,
  forget,
  withUnknown,
  type Belief,
  type Weights,
} from './belief.ts';
export {
  bendName,
  composition,
  priorsOf,
  thicknessName,
  WATER_BEND_SD,
  type LearnedIngredient,
  type LearnedMaterial,
} from './composition.ts';
export { disagreement, type Disagreement } from './disagreement.ts';
export { evidenceOf, type Evidence } from './evidence.ts';
export { handOf, scatterTimes } from './hand.ts';
export { cupStates, type TestedCup, type TestedState } from './cupStates.ts';
export { contentsOf, learn, thicknessOf, type LearnCup, type Thickness } from './learn.ts';
export { learnedMaterials, type LearnedThickness } from './materials.ts';
export { responseCurve, type ResponsePoint } from './response.ts';
export type { ReadingRecord } from './record.ts';
