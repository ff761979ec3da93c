export { defineCalculation, runCalculation, type Calculation } from './define.ts';
export {
  CALCULATIONS,
  findCalculation,
  inputJsonSchema,
  listCalculations,
  type CalculationCard,
  type CalculationName,
} from './registry.ts';
