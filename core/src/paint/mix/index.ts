export {
  MOVEMENT_KINDS,
  cupState,
  dryableMg,
  type CupIngredient,
  type CupRecord,
  type CupState,
  type MovementKind,
  type NamedCup,
  type ThickCup,
} from './cup.ts';
export { mixCalculation } from './mix.calculation.ts';
export { filmVerdict, type FilmVerdict } from './film.ts';
export { actualParts } from './parts.ts';
export { bringUp, takeOutAndBringUp, type Repair, type RepairPart } from './repair.ts';
export { topUpG } from './topUp.ts';
export { mixProperties, mixSpreadLn, type MixPart, type MixProperties } from './properties.ts';
export {
  STIRRING_ORDERS,
  WATER_AT_ONCE_MG,
  stepProgress,
  weighingSteps,
  type StepProgress,
  type StirringOrder,
  type WeighingStep,
} from './steps.ts';
export { THINNING_STEP, thin, type Thinner } from './thin.ts';
export { overPour, type OverPour } from './overpour.ts';
export { thinCalculation } from './thin.calculation.ts';
export { waterVerdict, type WaterVerdict } from './water.ts';
