export { beliefOf, expected, observe, forget, withUnknown, type Belief, type Weights } from './belief.ts';
export {
  bendName,
  composition,
  thicknessName,
  WATER_BEND_SD,
  type LearnedIngredient,
  type LearnedMaterial,
} from './composition.ts';
export { cupStates, type TestedCup, type TestedState } from './cupStates.ts';
export {
  contentsOf,
  evidenceOf,
  learn,
  thicknessOf,
  type LearnCup,
  type ReadingRecord,
  type Thickness,
} from './learn.ts';
export { learnedMaterials, type LearnedThickness } from './materials.ts';
export { responseCurve, type ResponsePoint } from './response.ts';
