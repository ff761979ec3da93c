export { USUAL_SHEET_MM, activatorDose, type ActivatorDose } from './dose.ts';
