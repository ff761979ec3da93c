import type { Finding } from '@icy-ribbon/core/piece/check';
import { alikeRows } from './alike.ts';

const finding = (code: string, name: string, level = 'do'): Finding =>
  ({ id: `${code} ${name}`, level, code, facts: { name } }) as unknown as Finding;

it('six that say the same are one row with six names, where the first stood', () => {
  const names = ['Rust', 'Rain', 'Brass', 'Moss', 'Foam', 'Kelp'];
  const rows = alikeRows([
    finding('short', 'Rust', 'wrong'),
    finding('dent', ''),
    ...names.map((name) => finding('untested', name)),
  ]);
  expect(rows.map(({ findings }) => findings.length)).toEqual([1, 1, 6]);
  expect(rows[2]!.words).toBe('Rust, Rain, Brass, Moss, Foam, and Kelp were not tested today.');
  expect(rows[0]!.words).toBeUndefined();
});

it('what says something of its own stays by itself, and what is worse too', () => {
  expect(alikeRows([finding('dent', ''), finding('dent', '')])).toHaveLength(2);
  expect(alikeRows([finding('fresh', 'Rust', 'look'), finding('fresh', 'Rain')])).toHaveLength(2);
});
