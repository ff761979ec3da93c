export { DRILL_NAMES, points, type DrillAnswer, type DrillName, type DrillResult } from './drills.ts';
export { dueOf, PASSES, SITS, type Due, type Played } from './due.ts';
