export { FAULT_KINDS, FAULTS, fault, type FaultKind } from './faults.ts';
export { why, type Cause, type Pinned, type Why } from './why.ts';
