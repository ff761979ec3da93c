import type { PouredCup, PourRecord } from '../outcome/index.ts';
import { spinLineRpmOf, GOOD_BLOOM } from '../../../testing/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import { LIMITS, windowFor } from '../../paint/stage/index.ts';
import { CAUSE_ROWS, why, type CauseCode } from './index.ts';
import type { FaultKind } from '../outcome/index.ts';

const good = GOOD_BLOOM;
const colors = (changes: Partial<PouredCup>) =>
  good.cups.map((each) => (each.role === 'color' ? { ...each, ...changes } : each));
const one = (id: string, changes: Partial<PouredCup>) =>
  good.cups.map((each) => (each.id === id ? { ...each, ...changes } : each));
const passes = (changes: Partial<PourRecord['passes'][number]>) => [{ ...good.passes[0]!, ...changes }];

const near = (value: number) => expect.closeTo(value, 1) as number;

const laidColors = good.cups.filter(({ role }) => role === 'color');
const colorMg = laidColors.reduce((sum, { laidMg }) => sum + laidMg, 0);
const colorPaS = Math.exp(
  laidColors.reduce((sum, { viscosityPaS }) => sum + Math.log(viscosityPaS), 0) / laidColors.length,
);
const spinLineRpm = spinLineRpmOf(good);
/** A bloom without a plan stands on a third of its face. */
const workedDm2 = paintedArea(good.support).faceCm2 / 300;
const window = windowFor('bloom', 'color')!;
/** The same as a Dutch pour: the pillow is its base, all alike at 0.6 Pa·s. */
const asDutch = (baseMg: number): Partial<PourRecord> => ({
  technique: 'dutch',
  cups: good.cups
    .filter(({ role }) => role !== 'activator')
    .map((each) => ({
      ...each,
      viscosityPaS: 0.6,
      ...(each.role === 'pillow' ? { role: 'base' as const, laidMg: baseMg } : {}),
    })),
});
/** 10 x 2/3 sqrt(mu L / (rho g sin a t)) rho, for 0.6 Pa·s and 1.1 g/ml on 25 cm. */
const usualGPerDm2 =
  10 * 1.1 * (2 / 3) * 1000 * Math.sqrt((0.6 * 0.25) / (1100 * 9.81 * Math.sin(Math.PI / 6) * 30));

/** What was done, which fault was seen, and what should be named first with its numbers. */
const CASES: readonly [string, FaultKind, Partial<PourRecord>, CauseCode, object, string?][] = [
  [
    'thick colors',
    'not-moving',
    { cups: colors({ viscosityPaS: 9 }) },
    'colors-thick',
    { colorPaS: near(9) },
  ],
  [
    'hardly any air',
    'not-moving',
    { passes: passes({ seconds: 0.5 }) },
    'air-little',
    { seconds: 0.5, passes: 1, sPerDm2: near(0.24) },
  ],
  [
    'little base',
    'not-moving',
    asDutch(10_000),
    'base-little',
    { gPerDm2: near(1.6), usualGPerDm2: near(usualGPerDm2) },
  ],
  [
    'a heavy color',
    'sunk',
    { cups: one('rust', { densityGPerMl: 1.3 }) },
    'color-heavy',
    { gPerMl: 1.3, othersGPerMl: near(1.1) },
    'rust',
  ],
  [
    'a thin color',
    'sunk',
    { cups: one('rust', { viscosityPaS: 1.1 }) },
    'color-thin',
    { paS: 1.1, othersPaS: near(2.8) },
    'rust',
  ],
  [
    'a little color',
    'sunk',
    { cups: one('rust', { laidMg: 3_000 }) },
    'color-little',
    { laidMg: 3_000, share: expect.closeTo(0.07, 2) },
    'rust',
  ],
  [
    'much activator',
    'washed-out',
    { cups: one('ink', { laidMg: 18_000 }) },
    'activator-much',
    { activatorMg: 18_000, share: expect.closeTo(0.3, 2) },
  ],
  [
    'a thick activator',
    'washed-out',
    { cups: one('ink', { viscosityPaS: 3.4 }) },
    'activator-thick',
    { sank: true, activatorPaS: near(3.4), colorPaS: near(2.8) },
  ],
  [
    'little activator',
    'no-lacing',
    { cups: one('ink', { laidMg: 1_500 }) },
    'activator-little',
    { activatorMg: 1_500, share: expect.closeTo(0.025, 3) },
  ],
  [
    'a close and steep dryer',
    'dented',
    { passes: passes({ tool: 'hair-dryer', distanceMm: 60, slantDeg: 85 }) },
    'air-dug',
    { pass: 1, tool: 'hair-dryer', distanceMm: 60, straightDown: true },
  ],
  [
    'a thin pillow',
    'dented',
    { cups: good.cups.map((each) => ({ ...each, laidMg: each.laidMg / 5 })) },
    'pillow-thin',
    { groundMm: expect.closeTo(1.66, 1) },
  ],
  ['thin colors', 'mud', { cups: colors({ viscosityPaS: 0.2 }) }, 'colors-thin', { colorPaS: near(0.2) }],
  [
    'neighbors of opposite hue',
    'mud',
    {
      cups: one('rust', { colorHex: '#d9542b' }).map((each) =>
        each.id === 'rain' ? { ...each, colorHex: '#1f7fb5' } : each,
      ),
    },
    'neighbors-muddy',
    { lower: 'rust', upper: 'rain' },
  ],
  [
    'no end of air',
    'mud',
    { passes: passes({ seconds: 80 }) },
    'overworked',
    { seconds: 80, sPerDm2: near(38.4) },
  ],
  [
    'silicone in a cup',
    'fish-eyes',
    { cups: one('moss', { hasSilicone: true }) },
    'silicone',
    { names: ['moss'] },
  ],
  [
    'a narrow jet',
    'wisps',
    { passes: passes({ tool: 'straw' }) },
    'air-narrow',
    { tool: 'straw', passes: 1 },
  ],
  [
    'a base that ran over still',
    'wells',
    { ...asDutch(60_000), blowTest: { moves: true, runsOver: true } },
    'base-much',
    { ranOver: true },
  ],
  [
    'much of one color',
    'takes-over',
    { cups: one('rust', { laidMg: 80_000 }) },
    'color-much',
    { name: 'rust', share: near(0.67) },
    'rust',
  ],
  [
    'a large color under the activator',
    'takes-over',
    { cups: one('moss', { laidMg: 32_000 }) },
    'under-activator',
    { name: 'moss', share: near(0.44) },
    'moss',
  ],
  [
    'a neon',
    'takes-over',
    { cups: one('rust', { finish: 'neon' }) },
    'neon-bleeds',
    { name: 'rust' },
    'rust',
  ],
  [
    'a patch in a design that stands out',
    'patch-shows',
    {
      repairs: 1,
      cups: colors({ colorHex: '#101010' }).map((each) =>
        each.role === 'pillow' ? { ...each, colorHex: '#ffffff' } : each,
      ),
    },
    'patch-contrast',
    { repairs: 1 },
  ],
  ['a late torch', 'specks', { torchedAfterAir: true }, 'torched-late', { torchedAfterAir: true }],
  [
    'a rack off level',
    'moved-overnight',
    { level: { acrossMmPerM: 6, downMmPerM: 0 } },
    'not-level',
    { slopeMmPerM: 6 },
  ],
  ['a fast spinner', 'warped', { spins: [{ rpm: 150, seconds: 8 }] }, 'spun-fast', { rpm: 150 }],
  [
    'much water',
    'broken-film',
    { cups: one('rain', { waterFraction: 0.5 }) },
    'over-thinned',
    { name: 'rain', waterFraction: 0.5 },
  ],
  [
    'unlike cups',
    'broken-film',
    { cups: one('rain', { viscosityPaS: 12 }) },
    'colors-unequal',
    { thick: { name: 'rain', paS: 12 }, thin: { name: 'rust', paS: near(2.8) } },
  ],
  [
    'a flood',
    'cracks',
    { cups: one('white', { laidMg: 700_000 }) },
    'paint-much',
    { mm: expect.closeTo(11.3, 0) },
  ],
  ['no torch', 'pinholes', { torches: 0 }, 'not-torched', { torches: 0 }],
  ['fresh cups', 'pinholes', { cups: colors({ restedHours: 0.4 }) }, 'mix-fresh', { restedHours: 0.4 }],
  [
    'a pearl',
    'grainy',
    { cups: one('moss', { finish: 'pearl' }) },
    'mica-coarse',
    { names: ['moss'], finish: 'pearl' },
  ],
];

const rows = CASES.map(([done, kind, changes, code, facts, cupId]) => ({
  ...{ done, kind, changes, code, facts },
  cupId: cupId ?? null,
}));

it.each(rows)('$done explain "$kind"', ({ kind, changes, code, facts, cupId }) => {
  const { causes } = why({ ...good, ...changes }, { kind, cupId });
  // Shimmer alone is a hint: only coarse mica is grainy, and the record does not tell how coarse it was.
  expect(causes[0]).toMatchObject({ code, isLikely: code !== 'mica-coarse', facts });
});

it('every cause is the first to be named of some pour', () => {
  const named = new Set(rows.map(({ code }) => code));
  const others = CAUSE_ROWS.map(({ code }) => code).filter((code) => !named.has(code));
  expect(others).toEqual(['opaque-low']);
});

it.each([...new Set(CASES.map(([, kind]) => kind))])(
  'of a pour that was done well, nothing is blamed for "%s"',
  (kind) => {
    const { causes } = why(good, { kind, cupId: 'rust' });
    expect(causes.filter(({ isLikely }) => isLikely)).toEqual([]);
  },
);

it.each([
  ['mud', { passes: [] }, 'passes'],
  ['washed-out', { cups: one('ink', { laidMg: 0 }) }, 'activator'],
  ['sunk', {}, 'which-color'],
  ['pinholes', { cups: colors({ restedHours: null }) }, 'mixed-when'],
  ['cracks', { cups: [] }, 'laid'],
  ['crust', {}, 'skin'],
] as const)('%s: what the record would need to hold is said', (kind, changes, missing) => {
  expect(why({ ...good, ...changes }, { kind, cupId: null }).cannotTell).toContain(missing);
});

/** Just inside and just beyond each line that is drawn: the line itself is where a cause begins to be likely. */
it.each<[string, FaultKind, CauseCode, (value: number) => Partial<PourRecord>, number, 'above' | 'below']>([
  [
    'colors',
    'not-moving',
    'colors-thick',
    (paS) => ({ cups: colors({ viscosityPaS: paS }) }),
    window.thickPaS,
    'above',
  ],
  [
    'colors',
    'mud',
    'colors-thin',
    (paS) => ({ cups: colors({ viscosityPaS: paS }) }),
    window.thinPaS,
    'below',
  ],
  [
    'the activator to the colors',
    'washed-out',
    'activator-thick',
    (ratio) => ({ cups: one('ink', { viscosityPaS: ratio * colorPaS }) }),
    LIMITS.activatorToColors.most,
    'above',
  ],
  [
    'the dose',
    'washed-out',
    'activator-much',
    (share) => ({ cups: one('ink', { laidMg: share * colorMg }) }),
    LIMITS.activatorShare.most,
    'above',
  ],
  [
    'the dose',
    'no-lacing',
    'activator-little',
    (share) => ({ cups: one('ink', { laidMg: share * colorMg }) }),
    LIMITS.activatorShare.least,
    'below',
  ],
  ['the spinner', 'warped', 'spun-fast', (rpm) => ({ spins: [{ rpm, seconds: 5 }] }), spinLineRpm, 'above'],
  [
    'the water',
    'broken-film',
    'over-thinned',
    (waterFraction) => ({ cups: one('rain', { waterFraction }) }),
    0.3,
    'above',
  ],
  [
    'the water where the binder is weak',
    'broken-film',
    'over-thinned',
    (waterFraction) => ({ cups: one('rain', { waterFraction, hasWeakBinder: true }) }),
    0.22,
    'above',
  ],
  [
    'the air',
    'mud',
    'overworked',
    (s) => ({ passes: passes({ seconds: s * workedDm2 }) }),
    LIMITS.airSPerDm2.most,
    'above',
  ],
  [
    'the air',
    'no-lacing',
    'air-little',
    (s) => ({ passes: passes({ seconds: s * workedDm2 }) }),
    LIMITS.airSPerDm2.least,
    'below',
  ],
  [
    'the base',
    'no-lacing',
    'base-little',
    (g) => asDutch(1000 * g * 6.25),
    LIMITS.baseOfFilm.least * usualGPerDm2,
    'below',
  ],
])('%s: "%s" is explained by %s from its line on', (_, kind, code, at, line, side) => {
  const weightAt = (value: number) =>
    why({ ...good, ...at(value) }, { kind, cupId: null }).causes.find((cause) => cause.code === code)!.weight;
  const [inside, outside] = side === 'above' ? [0.9, 1.1] : [1.1, 0.9];
  expect(weightAt(line * inside)).toBeLessThan(0.35);
  expect(weightAt(line)).toBeCloseTo(0.35, 2);
  expect(weightAt(line * outside)).toBeGreaterThan(0.35);
});
