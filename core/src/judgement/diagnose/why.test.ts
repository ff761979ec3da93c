import type { PourRecord } from '../outcome/index.ts';
import { GOOD_BLOOM } from '../../../testing/index.ts';
import { why } from './index.ts';
import { FAULT_KINDS } from '../outcome/index.ts';

const bloom = GOOD_BLOOM;
const ask = (
  kind: (typeof FAULT_KINDS)[number],
  changes: Partial<PourRecord> = {},
  mixId: string | null = null,
) => why({ ...bloom, ...changes }, { kind, mixId });

it.each(FAULT_KINDS)('%s: each cause has its evidence and what to change, the likeliest first', (kind) => {
  const { causes, cannotTell } = ask(kind);
  expect(causes.length + cannotTell.length).toBeGreaterThan(0);
  for (const cause of causes) {
    expect(cause.evidenceFor.length + cause.evidenceAgainst.length).toBe(1);
    expect(cause.nextTime).toMatch(/\.$/);
    expect(cause.weight).toBeGreaterThanOrEqual(0);
    expect(cause.weight).toBeLessThanOrEqual(1);
  }
  const weights = causes.map((cause) => cause.weight);
  expect(weights).toEqual([...weights].sort((a, b) => b - a));
});

it('an activator thicker than the colors sank (common practice)', () => {
  const cups = bloom.cups.map((each) => (each.role === 'activator' ? { ...each, viscosityPaS: 3.4 } : each));
  const [first] = ask('washed-out', { cups }).causes;
  expect(first?.name).toMatch(/it sank/);
  expect(first?.evidenceFor[0]).toMatch(/Activator 3.4 Pa.s against colors 2.8 Pa.s/);
});

it('straight down from close by dug a dent (common practice)', () => {
  const passes = [{ ...bloom.passes[0]!, distanceMm: 50, slantDeg: 90 }];
  const [first] = ask('dented', { passes }).causes;
  expect(first?.evidenceFor[0]).toMatch(/Pass 1, mouth at 5.0 cm straight down: dent \d+ mm/);
});

it('what speaks against a cause is said too', () => {
  const fast = ask('warped').causes.find((cause) => cause.name === 'Spun too fast');
  expect(fast).toMatchObject({ evidenceFor: [], evidenceAgainst: ['No spin was logged.'] });
  const spun = ask('warped', { spins: [{ rpm: 120, seconds: 10 }] }).causes[0];
  expect(spun?.evidenceFor[0]).toMatch(/120 turns a minute/);
});

it('says when the record cannot tell', () => {
  expect(ask('sunk').cannotTell[0]).toMatch(/which color it was/);
  expect(ask('dented', { passes: [] }).cannotTell).toContain('No blowing pass was logged.');
  expect(ask('crust').causes).toEqual([]);
});

it('an opaque color laid low is held against it only when it is opaque', () => {
  const opaque = bloom.cups.map((each) => (each.id === 'rust' ? { ...each, opacity: 'opaque' } : each));
  const named = (cups: PourRecord['cups']) =>
    ask('sunk', { cups }, 'rust').causes.find((cause) => cause.name === 'An opaque color laid low')!;
  expect(named(opaque).weight).toBeGreaterThan(0.5);
  expect(named(bloom.cups).weight).toBeLessThan(0.3);
});
