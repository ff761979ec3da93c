export { asked, type Pinned } from './asked.ts';
export type { Cause, CauseCode, CauseFacts, Missing } from './cause.ts';
export { CAUSE_ROWS } from './causes.ts';
export { LIKELY } from './weight.ts';
export { why, type Why } from './why.ts';
