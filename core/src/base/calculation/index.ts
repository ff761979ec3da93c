export { defineCalculation, runCalculation, type Calculation } from './define.ts';
