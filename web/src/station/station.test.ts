import type { Blower, Mix, PieceSummary } from '@icy-ribbon/contract';
import { stepWords } from './mix/parts/stepWords.ts';
import { newPass, withTool } from './pour/parts/passDraft.ts';
import { dueFrom } from './today/parts/due.ts';
import { tableRows } from './today/parts/tableRows.ts';
import { careInShort } from '@icy-ribbon/core/piece/care';
import { ageWords, degreeWord, partsWords } from '../words/general.ts';

const HOUR = 3_600_000;
const NOW = Date.parse('2026-03-20T12:00:00Z');
const ago = (hours: number) => new Date(NOW - hours * HOUR).toISOString();

const summary = (changes: object): PieceSummary =>
  ({
    id: 'p',
    name: 'Rain shutter',
    technique: 'dutch',
    phase: 'mixed',
    mixes: [],
    passes: [],
    pouredAt: null,
    touchDryAt: null,
    updatedAt: ago(1),
    care: careInShort([], (changes as { topCoatedAt?: string }).topCoatedAt ?? null),
    ...changes,
  }) as never;

describe('what is due today', () => {
  const mixed = (hours: number) => summary({ mixes: [{ mixedAt: ago(hours) }] });

  it('cups rest a day, are ready then, and thicken after two', () => {
    expect(dueFrom([mixed(5)], NOW)[0]?.what).toBe('resting, mixed 5\u00a0h ago');
    expect(dueFrom([mixed(25)], NOW)[0]?.what).toMatch(/rested a day/);
    expect(dueFrom([mixed(80)], NOW)[0]?.what).toMatch(/thickened/);
  });

  it('a piece is due for its top coat a week after the pour, for three weeks', () => {
    const poured = (days: number) => summary({ phase: 'judged', pouredAt: ago(24 * days), passes: [{}] });
    const dry = (days: number) => ({ ...poured(days), touchDryAt: ago(2) });
    expect(dueFrom([dry(5)], NOW)).toEqual([]);
    expect(dueFrom([poured(8)], NOW)[0]?.what).toMatch(/ready for its top coat since 19 Mar/);
    expect(dueFrom([poured(40)], NOW)).toEqual([]);
    const coated = summary({ phase: 'judged', pouredAt: ago(24 * 8), passes: [{}], topCoatedAt: ago(2) });
    expect(dueFrom([coated], NOW)).toEqual([]);
    expect(dueFrom([dry(1)], NOW)).toEqual([]);
  });
});

describe('drying', () => {
  const poured = (days: number, changes: object = {}) =>
    summary({ phase: 'judged', pouredAt: ago(24 * days), passes: [{}], drying: null, ...changes });

  it('is said as the days between which a piece is touch-dry, by its film and room', () => {
    expect(dueFrom([poured(0.5)], NOW)[0]?.what).toBe('drying: touch-dry from Sat 21 Mar to Sun 22 Mar');
    const slow = poured(0.5, { drying: { hours: 100, low: 90, high: 110 } });
    expect(dueFrom([slow], NOW)[0]?.what).toBe('drying: touch-dry from Mon 23 Mar to Tue 24 Mar');
  });

  it('follows one’s own log', () => {
    const twice = () => ({ hours: 78, low: 76, high: 80 });
    expect(dueFrom([poured(0.5)], NOW, twice)[0]?.what).toBe('drying: touch-dry on Mon 23 Mar');
  });

  it('is asked for when it should be over, until somebody touched it or a week is gone', () => {
    expect(dueFrom([poured(3)], NOW)[0]?.what).toMatch(/touch it/);
    expect(dueFrom([poured(3, { touchDryAt: ago(1) })], NOW)).toEqual([]);
    expect(dueFrom([poured(8)], NOW)[0]?.what).toMatch(/top coat/);
  });
});

describe('on the table', () => {
  const open = [
    summary({ id: 'a', name: 'A', station: 'plan', next: 'Plan how to pour it.' }),
    summary({ id: 'b', name: 'B', station: 'mix', next: 'Weigh in 3 cups.' }),
  ];
  const due = [
    { id: 'b', name: 'B', what: 'resting', to: '/pour/b' },
    { id: 'c', name: 'C', what: 'ready for its top coat', to: '/results/c' },
    { id: 'b', name: 'B', what: 'drying', to: '/results/b' },
  ];

  it('every piece stands once: what is due first, then the next steps', () => {
    const rows = tableRows(due, open, null);
    expect(rows.map(({ id, what }) => [id, what])).toEqual([
      ['b', 'resting'],
      ['c', 'ready for its top coat'],
      ['a', 'Plan how to pour it.'],
    ]);
  });

  it('the piece in hand is shown on its own, not here', () => {
    expect(tableRows(due, open, 'b').map(({ id }) => id)).toEqual(['c', 'a']);
  });
});

describe('words', () => {
  it('a step at the scale says how much of what, and why half first', () => {
    const mix = {
      ingredients: [
        { id: 'm', role: 'medium', material: { name: 'Flow conditioner' } },
        { id: 'p', role: 'paint', material: { name: 'Rust' } },
        { id: 'w', role: 'water', material: { name: 'Water' } },
      ],
    } as unknown as Mix;
    const say = (ingredientId: string, portion: 'all' | 'half' | 'rest' | 'thirds') =>
      stepWords({ ingredientId, mg: 15_000, portion }, mix, (mg) => `${mg / 1000}\u00a0g`);
    expect(say('m', 'half')).toMatch(/^Pour 15\u00a0g flow conditioner first, half of its 30\u00a0g/);
    expect(say('p', 'all')).toMatch(/^Add 15\u00a0g Rust/);
    expect(say('w', 'thirds')).toBe('Weigh in 15\u00a0g water and stir it in by thirds, each until smooth.');
    expect(say('m', 'rest')).toMatch(/other half of the flow conditioner, 15\u00a0g/);
  });

  it('parts and degrees are written plainly', () => {
    expect(partsWords([2, 1, 0.75])).toBe('2\u00a0:\u00a01\u00a0:\u00a00.75');
    expect(partsWords([1.9999, 1])).toBe('2\u00a0:\u00a01');
    expect(degreeWord(0)).toBe('none');
    expect(degreeWord(null)).toBe('not judged');
  });

  it('ages grow from minutes to days', () => {
    const before = (hours: number) => new Date(Date.now() - hours * HOUR).toISOString();
    expect(ageWords(before(0))).toBe('just now');
    expect(ageWords(before(0.5))).toBe('30\u00a0min old');
    expect(ageWords(before(20))).toBe('20\u00a0h old');
    expect(ageWords(before(24 * 9))).toBe('9 days old');
  });
});

describe('the next pass', () => {
  it('starts like the last one, from a new place', () => {
    const last = { ...newPass(), tool: 'hair-dryer', slantDeg: 40, from: { x: 0.2, y: 0.2 } } as never;
    expect(newPass(last)).toMatchObject({ tool: 'hair-dryer', slantDeg: 40, from: null });
  });

  it('of one blower of a kind on the shelf it is that one, of two the artist says which', () => {
    const mine = { id: 'a', name: 'Mine', tool: 'hair-dryer', exitDiameterMm: 40, exitSpeedMS: 9 } as Blower;
    const { blower } = withTool('hair-dryer', [mine]);
    expect(blower).toEqual({ id: 'a', name: 'Mine', exitDiameterMm: 40, exitSpeedMS: 9 });
    expect(withTool('hair-dryer', [mine, { ...mine, id: 'b' }]).blower).toBeNull();
    expect(withTool('straw', [mine]).blower).toBeNull();
  });

  it('another tool brings its usual setting and distance', () => {
    expect(withTool('straw')).toEqual({ tool: 'straw', setting: 'soft', distanceMm: 40, blower: null });
  });
});
