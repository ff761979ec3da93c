import { InputError } from '../../base/error/index.ts';
import { ciede2000, parse } from './modes.ts';

export type Lab = readonly [l: number, a: number, b: number];

/**
 * Color difference CIEDE2000 of two colors in CIELAB (Sharma, Wu & Dalal 2005, as culori computes it).
 *
 * @example labDifference([50, 2.6772, -79.7751], [50, 0, -82.7485]) // 2.0425
 */
export function labDifference(one: Lab, other: Lab): number {
  const color = ([l, a, b]: Lab) => ({ mode: 'lab65' as const, l, a, b });
  return ciede2000(color(one), color(other));
}

/**
 * Color difference CIEDE2000 of two sRGB colors (Sharma, Wu & Dalal 2005, as culori computes it).
 *
 * @param a, b as #rrggbb
 * @throws InputError naming the one that is no color
 * @example colorDifference('#6f93a8', '#5f8299') // 6.130
 */
export function colorDifference(a: string, b: string): number {
  const [first, second] = [parse(a), parse(b)];
  if (!first) throw new InputError('a', `"${a}" is no color: write it like #1f5fa8.`);
  if (!second) throw new InputError('b', `"${b}" is no color: write it like #1f5fa8.`);
  return ciede2000(first, second);
}
