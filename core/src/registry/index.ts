export {
  CALCULATIONS,
  findCalculation,
  inputJsonSchema,
  listCalculations,
  type CalculationCard,
  type CalculationName,
} from './registry.ts';
export { runCalculation } from '../base/calculation/index.ts';
