export { moundsToName, namedAs, scoreNaming, wiggleLeft } from './mound.ts';
export {
  meanFactor,
  puddleRadiusMm,
  puddlesToJudge,
  ranOut,
  scoreAmounts,
  streamOf,
  unevenness,
  type Stream,
} from './puddle.ts';
