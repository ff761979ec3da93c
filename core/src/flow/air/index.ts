export { dentAfter } from './dentAfter.ts';
export { airBounds, middleUnder, type AirBounds, type Middle } from './advice.ts';
export { bearingName, bearingOf, normalizeDeg } from './bearing.ts';
export { AIR_WAYS, type AirWay, type PassEnd } from './breath.ts';
export { deepDentMm } from './deepDent.ts';
export { AIR_DENSITY_KG_M3, jetOnPaint, type Jet, type JetOnPaint } from './jet.ts';
export {
  passReachMm,
  peakShearPa,
  RIPPLED_FRICTION,
  shearAheadPa,
  surfaceSpeedMmS,
  type Blow,
  type Sheet,
} from './shear.ts';
export {
  AIR_TOOLS,
  AIR_TOOL_NAMES,
  airPower,
  airTool,
  settingSpeed,
  settingsOf,
  type AirPower,
  type AirTool,
} from './tools.ts';
