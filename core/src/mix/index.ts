export { cupState, type CupIngredient, type CupRecord, type CupState } from './cup.ts';
export { mixCalculation } from './mix.calculation.ts';
export { actualParts, partsFor, portion } from './portion.ts';
export { mixProperties, mixSpreadLn, type MixPart, type MixProperties } from './properties.ts';
export {
  INGREDIENT_ROLES,
  SCHOOLS,
  findSchool,
  schoolsFor,
  type IngredientRole,
  type School,
  type SchoolId,
  type SchoolPart,
} from './school.ts';
export { WATER_STEP_MG, stepProgress, weighingSteps, type StepProgress, type WeighingStep } from './steps.ts';
export { THINNING_STEP, thin, type Thinner } from './thin.ts';
export { thinCalculation } from './thin.calculation.ts';
export { waterVerdict, type WaterVerdict } from './water.ts';
