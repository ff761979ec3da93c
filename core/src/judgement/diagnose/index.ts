export { why, type Cause, type Pinned, type Why } from './why.ts';
