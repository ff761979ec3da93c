export {
  coverOf,
  COVER_WARNINGS,
  type BareSpot,
  type Cover,
  type CoverInput,
  type CoverWarning,
} from './cover.ts';
