export {
  airOnPaint,
  BREATH_CURVES,
  BREATH_S,
  breathAim,
  distanceOf,
  scoreBreath,
  type BreathAt,
  type BreathCurve,
  type BreathMoment,
  type BreathScore,
} from './breath.ts';
