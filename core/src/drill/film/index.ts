export { GAP_NAMES, gapsTo, scorePicture, type GapName, type Gaps } from './target.ts';
export { scoreFlowers, type FlowersScore } from './flowers.ts';
export { bestPass, bestTurn, scoreStop, scoreWithin, type AfterPass, type Window } from './stop.ts';
