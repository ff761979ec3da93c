/**
 * What moves the paint: what drives it, which says what to be careful of; the distance a new pass starts from
 * (common practice, no published source); typical exits, to be replaced by measured ones; and its settings from the
 * weakest, with how much faster than the usual exit each blows (assumptions, no published source).
 */
export const AIR_TOOLS = [
  {
    tool: 'mouth',
    label: 'Mouth',
    power: 'breath',
    settings: { soft: 0.7, steady: 1, strong: 1.3 },
    distanceMm: 100,
    exitDiameterMm: 9,
    exitSpeedMS: 15,
  },
  {
    tool: 'straw',
    label: 'Straw',
    power: 'breath',
    settings: { soft: 0.7, steady: 1, strong: 1.3 },
    distanceMm: 40,
    exitDiameterMm: 6,
    exitSpeedMS: 18,
  },
  {
    tool: 'mini-blower',
    label: 'Mini blower',
    power: 'battery',
    settings: { low: 0.75, high: 1 },
    distanceMm: 120,
    exitDiameterMm: 12,
    exitSpeedMS: 25,
  },
  {
    tool: 'fan-blower',
    label: 'Small fan blower',
    power: 'mains',
    settings: { low: 0.75, high: 1 },
    distanceMm: 150,
    exitDiameterMm: 80,
    exitSpeedMS: 8,
  },
  {
    tool: 'hair-dryer',
    label: 'Hair dryer, cool',
    power: 'mains',
    settings: { low: 0.75, high: 1, 'high, cup baffle': 0.6 },
    distanceMm: 150,
    exitDiameterMm: 43,
    exitSpeedMS: 18,
  },
  {
    tool: 'leaf-blower',
    label: 'Leaf blower',
    power: 'mains',
    settings: { low: 0.75, high: 1 },
    distanceMm: 600,
    exitDiameterMm: 70,
    exitSpeedMS: 55,
  },
  {
    tool: 'compressor',
    label: 'Airbrush compressor',
    power: 'mains',
    settings: { '1 bar': 0.8, '1.5 bar': 1, '2 bar': 1.2 },
    distanceMm: 60,
    exitDiameterMm: 3,
    exitSpeedMS: 60,
  },
] as const;

export type AirTool = (typeof AIR_TOOLS)[number]['tool'];
export const AIR_TOOL_NAMES = AIR_TOOLS.map((each) => each.tool) as unknown as readonly [
  AirTool,
  ...AirTool[],
];

/**
 * A tool by its name.
 *
 * @throws RangeError for one that is none
 * @example airTool('straw').exitDiameterMm // 6
 */
export function airTool(tool: AirTool): (typeof AIR_TOOLS)[number] {
  const found = AIR_TOOLS.find((each) => each.tool === tool);
  if (!found) throw new RangeError(`unknown air tool ${tool}`);
  return found;
}

/** What the caution at the step depends on: a breath, or a plug near wet hands. */
export type AirPower = (typeof AIR_TOOLS)[number]['power'];

/**
 * What drives a tool.
 *
 * @example airPower('hair-dryer') // 'mains'
 */
export const airPower = (tool: AirTool): AirPower => airTool(tool).power;

/**
 * The settings of a tool, the weakest first; a baffle comes last.
 *
 * @example settingsOf('mouth')[0] // 'soft'
 */
export const settingsOf = (tool: AirTool): readonly string[] => Object.keys(airTool(tool).settings);

/**
 * How much faster than its usual exit a tool's setting blows; one that was typed blows as usual.
 *
 * @example settingSpeed('mouth', 'soft') // 0.7
 */
export function settingSpeed(tool: AirTool, setting: string): number {
  const { settings }: { readonly settings: Readonly<Record<string, number>> } = airTool(tool);
  return (Object.hasOwn(settings, setting) && settings[setting]) || 1;
}

/**
 * A tool with its usual exit, for the sentences of the bench.
 *
 * @example exitWords('straw') // 'straw 18 m/s from 6 mm'
 */
export function exitWords(tool: AirTool): string {
  const { label, exitSpeedMS, exitDiameterMm } = airTool(tool);
  return `${label.toLowerCase()} ${exitSpeedMS} m/s from ${exitDiameterMm} mm`;
}
