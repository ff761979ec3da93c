import type { PourRecord } from '../outcome/index.ts';
import { GOOD_BLOOM } from '../../../testing/index.ts';
import { LIKELY, why } from './index.ts';
import { FAULT_KINDS } from '../outcome/index.ts';

const bloom = GOOD_BLOOM;
const ask = (
  kind: (typeof FAULT_KINDS)[number],
  changes: Partial<PourRecord> = {},
  cupId: string | null = null,
) => why({ ...bloom, ...changes }, { kind, cupId });

it.each(FAULT_KINDS)('%s: each cause is weighed, the likeliest first', (kind) => {
  const { causes, cannotTell } = ask(kind);
  expect(causes.length + cannotTell.length).toBeGreaterThan(0);
  const weights = causes.map((cause) => cause.weight);
  expect(weights).toEqual([...weights].sort((a, b) => b - a));
  expect(weights.every((weight) => weight >= 0 && weight <= 1)).toBe(true);
  expect(causes.map(({ isLikely }) => isLikely)).toEqual(weights.map((weight) => weight > LIKELY));
});

it('an activator thicker than the colors sank (common practice)', () => {
  const cups = bloom.cups.map((each) => (each.role === 'activator' ? { ...each, viscosityPaS: 3.4 } : each));
  expect(ask('washed-out', { cups }).causes[0]).toMatchObject({
    code: 'activator-thick',
    facts: { sank: true },
  });
});

it('straight down from close by dug a dent (common practice)', () => {
  const passes = [{ ...bloom.passes[0]!, distanceMm: 50, slantDeg: 90 }];
  expect(ask('dented', { passes }).causes[0]).toMatchObject({
    code: 'air-dug',
    facts: { pass: 1, tool: 'mouth', distanceMm: 50, straightDown: true },
  });
});

it('what speaks against a cause is said too', () => {
  const fast = ask('warped').causes.find((cause) => cause.code === 'spun-fast');
  expect(fast).toMatchObject({ isLikely: false, facts: { rpm: 0 } });
});

it('says when the record cannot tell', () => {
  expect(ask('sunk')).toMatchObject({ causes: [], cannotTell: ['which-color'] });
  expect(ask('dented', { passes: [] }).cannotTell).toContain('passes');
  expect(ask('crust').causes).toEqual([]);
});

it('an opaque color laid low is held against it only when it is opaque', () => {
  const opaque = bloom.cups.map((each) => (each.id === 'rust' ? { ...each, opacity: 'opaque' } : each));
  const named = (cups: PourRecord['cups']) =>
    ask('sunk', { cups }, 'rust').causes.find((cause) => cause.code === 'opaque-low')!;
  expect(named(opaque).isLikely).toBe(true);
  expect(named(bloom.cups).isLikely).toBe(false);
});
