export {
  puddlesOn,
  PUDDLE_WARNINGS,
  type Puddle,
  type Puddles,
  type PuddlesInput,
  type PuddleWarning,
} from './puddles.ts';
