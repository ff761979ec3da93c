export { activatorDose, type ActivatorDose } from './dose.ts';
