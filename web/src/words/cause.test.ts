import { why, type Cause, type Missing } from '@icy-ribbon/core/judgement/diagnose';
import { FAULT_KINDS, type PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { GOOD_BLOOM } from '../../../core/testing/index.ts';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { causeWords, missingWords } from './cause.ts';

const METRIC: ChosenUnits = { mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' };
const CUSTOMARY: ChosenUnits = { mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' };

/** Pours in which everything that can go wrong went wrong, one way and the other. */
const BAD: readonly PourRecord[] = [1, -1].map((way) => ({
  ...GOOD_BLOOM,
  cups: GOOD_BLOOM.cups.map((cup, index) => ({
    ...cup,
    opacity: 'opaque',
    finish: 'pearl',
    hasWeakBinder: true,
    restedHours: way > 0 ? 0.5 : 30,
    viscosityPaS: cup.viscosityPaS * 4 ** (way * (index % 2 ? 1 : 0.5)),
    laidMg: cup.laidMg * 8 ** (way * (index % 2 ? 1 : -1)),
  })),
  torches: way > 0 ? 0 : 3,
  torchedAfterAir: way > 0,
  spins: way > 0 ? [{ rpm: 150, seconds: 8 }] : [],
}));

const ALL: Cause[] = [GOOD_BLOOM, ...BAD].flatMap((pour) =>
  FAULT_KINDS.flatMap((kind) => why(pour, { kind, cupId: 'rust' }).causes),
);
const sentences = (cause: Cause, chosen: ChosenUnits) => Object.values(causeWords(cause, chosen)).join(' ');

it.each([...new Set(ALL.map(({ code }) => code))])(
  '%s is said in whole sentences, in the units chosen',
  (code) => {
    for (const cause of ALL.filter((each) => each.code === code)) {
      const { name, evidence, nextTime } = causeWords(cause, METRIC);
      expect(name).toMatch(/^[A-Z].*[a-z]$/);
      expect(`${evidence} ${nextTime}`).toMatch(/\.$/);
      expect(sentences(cause, METRIC)).not.toMatch(/NaN|undefined|Infinity|\d (oz|in)\b/);
      expect(sentences(cause, CUSTOMARY)).not.toMatch(/NaN|undefined|\d (g|mg|ml|mm|cm)\b|g\/ml|decimeter/);
    }
  },
);

const cause = (given: object) => ({ weight: 1, isLikely: true, ...given }) as Cause;

it.each([
  [
    cause({ code: 'air-little', facts: { seconds: 2, passes: 1, sPerDm2: 0.32 } }),
    '2\u00a0s of air in 1 pass, 0.3\u00a0s on a square decimeter.',
    '2\u00a0s of air in 1 pass, 3.0\u00a0s on a square foot.',
  ],
  [
    cause({ code: 'base-little', facts: { gPerDm2: 3.2, usualGPerDm2: 8, aimMg: 137_500 } }),
    '3.2\u00a0g on a square decimeter; of a base as thick, about 8.0\u00a0g on a square decimeter stay.',
    '1.0\u00a0oz on a square foot; of a base as thick, about 2.6\u00a0oz on a square foot stay.',
  ],
  [
    cause({ code: 'color-heavy', facts: { name: 'Rust', gPerMl: 1.3, othersGPerMl: 1.1 } }),
    'Rust 1.30\u00a0g/ml against 1.10\u00a0g/ml.',
    'Rust 1.36\u00a0oz/fl oz against 1.15\u00a0oz/fl oz.',
  ],
  [
    cause({
      code: 'air-dug',
      facts: {
        ...{ pass: 1, tool: 'mouth', distanceMm: 50, slantDeg: 90, seconds: 3, straightDown: true },
        ...{ dentMm: 7, groundMm: 4.2, aimDistanceMm: 65, aimSlantDeg: 30 },
      },
    }),
    'Pass 1, mouth at 5.0\u00a0cm straight down, 3\u00a0s: dent 7.0\u00a0mm in about 4.2\u00a0mm of paint.',
    'Pass 1, mouth at 2.0\u00a0in straight down, 3\u00a0s: dent 0.28\u00a0in in about 0.17\u00a0in of paint.',
  ],
  [
    cause({
      code: 'activator-little',
      facts: { activatorMg: 1500, colorMg: 60_000, share: 0.025, least: 0.05, most: 0.2, aimMg: 6000 },
    }),
    '1.5\u00a0g of activator on 60\u00a0g of colors, 2.5\u00a0%; 5 to 20\u00a0% is usual.',
    '0.053\u00a0oz of activator on 2.12\u00a0oz of colors, 2.5\u00a0%; 5 to 20\u00a0% is usual.',
  ],
])('the evidence of %#', (given, metric, customary) => {
  expect(causeWords(given, METRIC).evidence).toBe(metric);
  expect(causeWords(given, CUSTOMARY).evidence).toBe(customary);
});

it('what is missing is said with what to do', () => {
  const all: Missing[] = ['colors', 'which-color', 'level', 'skin'];
  expect(all.map(missingWords)).toEqual([
    'No colors were logged as laid.',
    expect.stringContaining('pin the fault with its cup'),
    expect.stringContaining('spirit level'),
    expect.stringContaining('strain every mix'),
  ]);
});
