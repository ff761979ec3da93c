export { check } from './check.ts';
export { isShort } from './cups.ts';
export type { CheckCup, CheckInput, Finding, FindingCode, FindingFacts } from './finding.ts';
export { applyFix, isPlanFix, type Fix, type PlanFix } from './fix.ts';
export { groundUnder, depthAndDensity } from './ground.ts';
