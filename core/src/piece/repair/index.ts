export { patchContrast, type PatchContrast, type PatchCup } from './patch.ts';
export { planRepair, type RepairCup, type RepairPlan } from './plan.ts';
export { openRepair, repairIdOf, repairSteps } from './steps.ts';
