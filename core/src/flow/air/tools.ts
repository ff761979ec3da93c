/**
 * What moves the paint: what drives it, which says what to be careful of; the settings and the distance a new pass
 * starts from (common practice, no published source); and typical exits; exit speeds are rough values of the kind, to be replaced by measured ones.
 */
export const AIR_TOOLS = [
  {
    tool: 'mouth',
    label: 'Mouth',
    power: 'breath',
    settings: ['soft', 'steady', 'strong'],
    distanceMm: 100,
    exitDiameterMm: 9,
    exitSpeedMS: 15,
  },
  {
    tool: 'straw',
    label: 'Straw',
    power: 'breath',
    settings: ['soft', 'steady', 'strong'],
    distanceMm: 40,
    exitDiameterMm: 6,
    exitSpeedMS: 18,
  },
  {
    tool: 'mini-blower',
    label: 'Mini blower',
    power: 'battery',
    settings: ['low', 'high'],
    distanceMm: 120,
    exitDiameterMm: 12,
    exitSpeedMS: 25,
  },
  {
    tool: 'fan-blower',
    label: 'Small fan blower',
    power: 'mains',
    settings: ['low', 'high'],
    distanceMm: 150,
    exitDiameterMm: 80,
    exitSpeedMS: 8,
  },
  {
    tool: 'hair-dryer',
    label: 'Hair dryer, cool',
    power: 'mains',
    settings: ['low', 'high', 'high, cup baffle'],
    distanceMm: 150,
    exitDiameterMm: 43,
    exitSpeedMS: 18,
  },
  {
    tool: 'leaf-blower',
    label: 'Leaf blower',
    power: 'mains',
    settings: ['low', 'high'],
    distanceMm: 600,
    exitDiameterMm: 70,
    exitSpeedMS: 55,
  },
  {
    tool: 'compressor',
    label: 'Airbrush compressor',
    power: 'mains',
    settings: ['1 bar', '1.5 bar', '2 bar'],
    distanceMm: 60,
    exitDiameterMm: 3,
    exitSpeedMS: 60,
  },
] as const;

export type AirTool = (typeof AIR_TOOLS)[number]['tool'];
/** A setting of any tool. Each has its speed in `piece/rehearse/stroke`; one without fails the compiler. */
export type AirSetting = (typeof AIR_TOOLS)[number]['settings'][number];
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
