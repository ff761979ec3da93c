export {
  measureRace,
  RACE_WARNINGS,
  type MeasuredRace,
  type RacedLane,
  type RaceInput,
  type RaceWarning,
} from './race.ts';
