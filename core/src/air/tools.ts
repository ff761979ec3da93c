/** What moves the paint, with the settings a new pass starts from (common practice, no published source). */
export const AIR_TOOLS = [
  { tool: 'mouth', label: 'Mouth', settings: ['soft', 'steady', 'strong'], distanceMm: 100 },
  { tool: 'straw', label: 'Straw', settings: ['soft', 'steady', 'strong'], distanceMm: 40 },
  { tool: 'mini-blower', label: 'Mini blower', settings: ['low', 'high'], distanceMm: 120 },
  { tool: 'fan-blower', label: 'Small fan blower', settings: ['low', 'high'], distanceMm: 150 },
  {
    tool: 'hair-dryer',
    label: 'Hair dryer, cool',
    settings: ['low', 'high', 'high, cup baffle'],
    distanceMm: 150,
  },
  { tool: 'leaf-blower', label: 'Leaf blower', settings: ['low', 'high'], distanceMm: 600 },
  {
    tool: 'compressor',
    label: 'Airbrush compressor',
    settings: ['1 bar', '1.5 bar', '2 bar'],
    distanceMm: 60,
  },
] as const;

export type AirTool = (typeof AIR_TOOLS)[number]['tool'];
export const AIR_TOOL_NAMES = AIR_TOOLS.map((each) => each.tool) as unknown as readonly [
  AirTool,
  ...AirTool[],
];

export function airTool(tool: AirTool): (typeof AIR_TOOLS)[number] {
  const found = AIR_TOOLS.find((each) => each.tool === tool);
  if (!found) throw new RangeError(`unknown air tool ${tool}`);
  return found;
}
