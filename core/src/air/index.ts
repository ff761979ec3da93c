export { bearingName, bearingOf, normalizeDeg } from './bearing.ts';
export { AIR_DENSITY_KG_M3, jetOnPaint, type JetOnPaint } from './jet.ts';
export { AIR_TOOLS, AIR_TOOL_NAMES, airTool, type AirTool } from './tools.ts';
