import type { PouredCup, PourRecord } from '../outcome/index.ts';
import { GOOD_BLOOM } from '../../../testing/index.ts';
import { why } from './index.ts';
import type { FaultKind } from '../outcome/index.ts';

const good = GOOD_BLOOM;
const colors = (changes: Partial<PouredCup>) =>
  good.cups.map((each) => (each.role === 'color' ? { ...each, ...changes } : each));
const one = (id: string, changes: Partial<PouredCup>) =>
  good.cups.map((each) => (each.id === id ? { ...each, ...changes } : each));
const passes = (changes: Partial<PourRecord['passes'][number]>) => [{ ...good.passes[0]!, ...changes }];

/** What was done, which fault was seen, and what should be named first with its numbers. */
const CASES: readonly [string, FaultKind, Partial<PourRecord>, RegExp, RegExp, string?][] = [
  ['thick colors', 'not-moving', { cups: colors({ viscosityPaS: 9 }) }, /too thick/, /Colors 9\.0 Pa\.s/],
  [
    'hardly any air',
    'not-moving',
    { passes: passes({ seconds: 2 }) },
    /Little air/,
    /2 s of air in 1 passes/,
  ],
  [
    'little pillow',
    'not-moving',
    { cups: one('white', { laidMg: 20_000 }) },
    /Too little base/,
    /3\.2 g of base on a square decimeter/,
  ],
  [
    'a heavy color',
    'sunk',
    { cups: one('rust', { densityGPerMl: 1.3 }) },
    /heavier/,
    /1\.30 g\/ml against 1\.10/,
    'rust',
  ],
  [
    'a thin color',
    'sunk',
    { cups: one('rust', { viscosityPaS: 1.1 }) },
    /thinner than its/,
    /1\.1 Pa\.s against 2\.8/,
    'rust',
  ],
  [
    'a little color',
    'sunk',
    { cups: one('rust', { laidMg: 3_000 }) },
    /little of it/,
    /3\.0 g, 7\.0 %/,
    'rust',
  ],
  [
    'much activator',
    'washed-out',
    { cups: one('ink', { laidMg: 18_000 }) },
    /Too much activator/,
    /18 g .* 30 %/,
  ],
  [
    'a thick activator',
    'washed-out',
    { cups: one('ink', { viscosityPaS: 3.4 }) },
    /it sank/,
    /Activator 3\.4 Pa\.s against colors 2\.8 Pa\.s/,
  ],
  [
    'little activator',
    'no-lacing',
    { cups: one('ink', { laidMg: 1_500 }) },
    /Too little activator/,
    /1\.5 g .* 2\.5 %/,
  ],
  [
    'a close and steep dryer',
    'dented',
    { passes: passes({ tool: 'hair-dryer', distanceMm: 60, slantDeg: 85 }) },
    /too close or too steep/,
    /Pass 1, hair dryer, cool at 6\.0 cm straight down: dent \d+ mm/,
  ],
  [
    'a thin pillow',
    'dented',
    { cups: one('white', { laidMg: 8_000 }) },
    /pillow was too thin/,
    /stood about 3\.\d mm/,
  ],
  ['thin colors', 'mud', { cups: colors({ viscosityPaS: 0.6 }) }, /too thin/, /Colors 0\.60 Pa\.s/],
  ['no end of air', 'mud', { passes: passes({ seconds: 80 }) }, /Overworked/, /80 s of air, 12\.8 s/],
  ['a late torch', 'specks', { torchedAfterAir: true }, /Torched after/, /after the last pass/],
  ['a fast spinner', 'warped', { spins: [{ rpm: 150, seconds: 8 }] }, /Spun too fast/, /150 turns a minute/],
  [
    'much water',
    'broken-film',
    { cups: one('rain', { waterFraction: 0.5 }) },
    /Over-thinned/,
    /rain holds 50 % water/,
  ],
  [
    'unlike cups',
    'broken-film',
    { cups: one('rain', { viscosityPaS: 12 }) },
    /not equally thick/,
    /rain 12\.0 Pa\.s against rust 2\.8/,
  ],
  [
    'a flood',
    'cracks',
    { cups: one('white', { laidMg: 700_000 }) },
    /Too much wet paint/,
    /11\.\d mm of paint/,
  ],
  ['no torch', 'pinholes', { torches: 0 }, /not torched/, /No torching/],
  ['fresh cups', 'pinholes', { cups: colors({ restedHours: 0.4 }) }, /fresh mix/, /less than an hour/],
  ['a pearl', 'grainy', { cups: one('moss', { finish: 'pearl' }) }, /Coarse mica/, /moss: pearl/],
];

const rows = CASES.map(([done, kind, changes, name, evidence, mixId]) => ({
  done,
  kind,
  changes,
  name,
  evidence,
  mixId,
}));

it.each(rows)('$done explain "$kind"', ({ kind, changes, name, evidence, mixId }) => {
  const { causes } = why({ ...good, ...changes }, { kind, mixId: mixId ?? null });
  expect(causes[0]?.name).toMatch(name);
  expect(causes[0]?.evidenceFor.join()).toMatch(evidence);
  expect(causes[0]!.weight).toBeGreaterThan(0.3);
});

it.each([...new Set(CASES.map(([, kind]) => kind))])(
  'of a pour that was done well, nothing is blamed for "%s"',
  (kind) => {
    const { causes } = why(good, { kind, mixId: 'rust' });
    for (const { name, weight, evidenceFor } of causes) {
      expect([name, weight <= 0.3, evidenceFor]).toEqual([name, true, []]);
    }
  },
);

it.each([
  ['mud', { passes: [] }, /No blowing pass/],
  ['washed-out', { cups: one('ink', { laidMg: 0 }) }, /activator/],
  ['sunk', {}, /Say which color/],
  ['pinholes', { cups: colors({ restedHours: null }) }, /When the cups were mixed/],
  ['cracks', { cups: [] }, /What was laid was not logged/],
  ['crust', {}, /strain every mix/],
] as const)('%s: what the record would need to hold is said', (kind, changes, words) => {
  expect(why({ ...good, ...changes }, { kind, mixId: null }).cannotTell.join()).toMatch(words);
});
