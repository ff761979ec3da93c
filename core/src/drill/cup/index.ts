export {
  FRESH_MG,
  hiddenCup,
  LAW_OFF,
  offTargetLn,
  TARGET_PAS,
  thinned,
  trueLn,
  VIRTUAL_CUP,
  WATER,
  type HiddenCup,
} from './hiddenCup.ts';
export { adviceFor, advisedPlay, afterReading, KNOWN_BEFORE, raced, type ThinPlay } from './advisedPlay.ts';
export { LUMP_SHARE, lumpsOf, scoreThinning, type ThinScore } from './score.ts';
