export { lineRounds, resinLine, type StraightLine } from './lines.ts';
export { openSecondsLeft, POT_STEPS, RESIN_MINUTES, sharesOfPot, type PotStep } from './pot.ts';
export {
  resinAmounts,
  USUAL_COAT,
  USUAL_KIT,
  type ResinAmounts,
  type ResinCoat,
  type ResinRatio,
} from './resin.ts';
export { USUAL_VARNISH, varnishAmounts, type VarnishAmounts, type VarnishJob } from './varnish.ts';
