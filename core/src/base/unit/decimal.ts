/**
 * Reads a number the way people type it: comma or point as decimal mark, blanks and grouping allowed
 * where they are unambiguous.
 *
 * @returns the number, or `undefined` when the text is no number or could mean two ("1.234,5.6")
 * @example parseDecimal('11,25') // 11.25
 * @example parseDecimal('1 234.5') // 1234.5
 */
export function parseDecimal(text: string): number | undefined {
  const bare = text
    .trim()
    .replace(/[\s\u00a0\u202f']/g, '')
    .replace('\u2212', '-');
  const commas = bare.split(',').length - 1;
  const points = bare.split('.').length - 1;
  if (commas > 1 && points > 1) return undefined;
  const normal = commas > 0 && points > 0 ? dropGrouping(bare) : bare.replace(',', '.');
  if (normal === undefined || !/^[+-]?(\d+\.?\d*|\.\d+)$/.test(normal)) return undefined;
  return Number(normal);
}

/** With both marks present, the later one is the decimal mark and the earlier one groups by three. */
function dropGrouping(bare: string): string | undefined {
  const decimal = bare.lastIndexOf(',') > bare.lastIndexOf('.') ? ',' : '.';
  const group = decimal === ',' ? '.' : ',';
  const [whole = '', fraction = ''] = bare.split(decimal);
  if (bare.split(decimal).length !== 2 || fraction.includes(group)) return undefined;
  const blocks = whole.split(group);
  if (blocks.slice(1).some((block) => block.length !== 3)) return undefined;
  return `${blocks.join('')}.${fraction}`;
}
