import { spinLineRpmOf, GOOD_BLOOM as good } from '../../../testing/index.ts';
import { airTool, deepDentMm, dentAfter, jetOnPaint } from '../../flow/air/index.ts';
import type { PouredCup, PourRecord } from '../outcome/index.ts';
import { asked } from './asked.ts';
import { CAUSE_ROWS, LIKELY, why, type CauseCode } from './index.ts';

const near = (value: number) => expect.closeTo(value, 4) as number;

const spinLineRpm = spinLineRpmOf(good);
/** The weight of what lies a fifth beyond its line: 0.35 + 1.3 ln 1.2. */
const A_FIFTH_BEYOND = near(0.58702);

const cups = (changes: Readonly<Record<string, Partial<PouredCup>>>) => ({
  cups: good.cups.map((each) => ({ ...each, ...changes[each.role], ...changes[each.id] })),
});
const passes = (...all: Partial<PourRecord['passes'][number]>[]) => ({
  passes: all.map((each) => ({ ...good.passes[0]!, ...each })),
});

function tell(code: CauseCode, changes: Partial<PourRecord>, cupId: string | null = 'rust') {
  const row = CAUSE_ROWS.find((each) => each.code === code)!;
  return row.weigh(asked({ ...good, ...changes }, { kind: row.explains[0]!, cupId }));
}

it.each([
  ['fish-eyes', 'top-coat'],
  ['warped', 'level'],
  ['crust', 'skin'],
  ['patch-shows', 'repair'],
  ['bare-corner', 'corners'],
] as const)('of "%s" no record tells the %s', (kind, missing) => {
  expect(why(good, { kind, cupId: null }).cannotTell).toContain(missing);
});

/** Worked out by hand on a bloom of 25 x 25 cm: 130 g of pillow, three colors of 20 g, 6 g of activator. */
it.each<[CauseCode, Partial<PourRecord>, object]>([
  [
    'colors-thick',
    cups({ color: { viscosityPaS: 6 } }),
    { weight: A_FIFTH_BEYOND, facts: { colorPaS: near(6), limitPaS: 5, aimPaS: near(2.68328) } },
  ],
  [
    'activator-much',
    cups({ activator: { laidMg: 14_400 } }),
    {
      weight: A_FIFTH_BEYOND,
      facts: { activatorMg: 14_400, colorMg: 60_000, share: near(0.24), least: 0.05, most: 0.2, aimMg: 6000 },
    },
  ],
  [
    'activator-little',
    cups({ activator: { laidMg: 2_500 } }),
    { weight: A_FIFTH_BEYOND, facts: { share: near(0.0416667), aimMg: 6000 } },
  ],
  [
    'activator-much',
    cups({ activator: { laidMg: 14_400, doseFactor: 2 } }),
    { weight: 0, facts: { least: 0.1, most: 0.4, aimMg: 12_000 } },
  ],
  [
    'activator-thick',
    cups({ activator: { viscosityPaS: 1.728 }, color: { viscosityPaS: 2.4 } }),
    { weight: A_FIFTH_BEYOND, facts: { sank: false, aimPaS: near(0.8) } },
  ],
  [
    'activator-thick',
    cups({ activator: { viscosityPaS: 6 }, color: { viscosityPaS: 4 } }),
    { facts: { sank: true, aimPaS: near(4 / 3) } },
  ],
  [
    'pillow-thin',
    cups({ pillow: { laidMg: 20_000 }, color: { laidMg: 5_000 } }),
    { facts: { groundMm: near(1.527273), aimMg: near(20_000 * (2.5 / (8.4 / 5.5))) } },
  ],
  [
    'pillow-thin',
    cups({ pillow: { laidMg: 20_000 } }),
    { facts: { groundMm: near(3.49091), aimMg: near(24_000) } },
  ],
  [
    'pillow-thin',
    cups({ pillow: { laidMg: 8_000 }, color: { laidMg: 2_000 } }),
    { facts: { aimMg: near(16_000) } },
  ],
  [
    'color-heavy',
    cups({ rust: { densityGPerMl: 1.133 } }),
    { weight: near(0.35), facts: { othersGPerMl: near(1.1) } },
  ],
  [
    'color-thin',
    cups({ rust: { viscosityPaS: 2.8 / 1.62 } }),
    { weight: A_FIFTH_BEYOND, facts: { othersPaS: near(2.8) } },
  ],
  ['opaque-low', cups({ rust: { opacity: 'opaque' } }), { weight: 0.8, facts: { place: 2, of: 5 } }],
  [
    'color-little',
    cups({ rust: { laidMg: 10_000 } }),
    { weight: near(0.35), facts: { share: near(0.2), aimMg: near(50_000 / 3) } },
  ],
  [
    'overworked',
    passes({ seconds: 12.5 }, { seconds: 10 }),
    { weight: A_FIFTH_BEYOND, facts: { seconds: 22.5, sPerDm2: near(10.8) } },
  ],
  [
    'over-thinned',
    cups({ rain: { waterFraction: 0.36 } }),
    { weight: A_FIFTH_BEYOND, facts: { name: 'rain', waterFraction: 0.36 } },
  ],
  ['torched-late', { torchedAfterAir: true }, { weight: 0.75 }],
  ['torched-late', {}, { weight: 0.05 }],
  [
    'spun-fast',
    { spins: [30, Math.sqrt(1.2) * spinLineRpm, 40].map((rpm) => ({ rpm, seconds: 5 })) },
    { weight: A_FIFTH_BEYOND, facts: { mostRpm: near(Math.floor(spinLineRpm)) } },
  ],
  ['spun-fast', {}, { weight: 0.02 }],
  [
    'colors-unequal',
    cups({ rain: { viscosityPaS: 2.8 * 1.92 } }),
    { weight: A_FIFTH_BEYOND, facts: { thick: { name: 'rain' }, ratio: near(1.92) } },
  ],
  [
    'colors-thin',
    cups({ color: { viscosityPaS: 0.5 / 1.2 } }),
    { weight: A_FIFTH_BEYOND, facts: { limitPaS: 0.5 } },
  ],
  [
    'air-little',
    passes({ seconds: (0.5 * 6.25) / 3 / 1.2 }),
    { weight: A_FIFTH_BEYOND, facts: { passes: 1, sPerDm2: near(0.5 / 1.2) } },
  ],
  [
    'paint-much',
    cups({ pillow: { laidMg: 1000 * (4.56 * 1.1 * 10 * 6.25 - 66) } }),
    { weight: A_FIFTH_BEYOND, facts: { mm: near(4.56) } },
  ],
  ['silicone', cups({ rust: { hasSilicone: true } }), { weight: 0.7, facts: { names: ['rust'] } }],
  ['silicone', {}, { weight: 0.05, facts: { names: [] } }],
  ['not-torched', { torches: 0 }, { weight: 0.6 }],
  ['not-torched', {}, { weight: 0.1 }],
  ['mix-fresh', cups({ rain: { restedHours: 0.9 } }), { weight: 0.5, facts: { restedHours: 0.9 } }],
  ['mix-fresh', cups({ rain: { restedHours: 7 } }), { weight: 0.35 }],
  ['mix-fresh', cups({ color: { restedHours: 8 } }), { weight: 0.05 }],
  [
    'mica-coarse',
    cups({ rust: { finish: 'pearl' }, moss: { finish: 'neon' } }),
    { weight: 0.4, facts: { names: ['rust'], finish: 'pearl' } },
  ],
  [
    'air-narrow',
    passes({ tool: 'compressor' }, {}),
    { weight: 0.7, facts: { tool: 'compressor', passes: 1 } },
  ],
  ['air-narrow', {}, { weight: 0.1, facts: { tool: null } }],
  ['color-much', cups({ rust: { laidMg: 60_000 } }), { weight: near(0.35 + 1.3 * Math.log(1.2)) }],
  ['neon-bleeds', cups({ rust: { finish: 'neon' } }), { weight: 0.75, facts: { name: 'rust' } }],
  [
    'patch-contrast',
    { repairs: 1, ...cups({ color: { colorHex: '#000000' }, pillow: { colorHex: '#ffffff' } }) },
    { weight: 1 },
  ],
  ['mica-coarse', {}, { weight: 0.05, facts: { names: [], finish: null } }],
])('%s: weight and facts of %j', (code, changes, expected) => {
  expect(tell(code, changes)).toMatchObject(expected);
});

describe('the deepest dent of several passes', () => {
  const mouth = { exitSpeedMS: 15, exitDiameterMm: 9, paintDensityKgM3: 1150 };
  /** 130 g of pillow and 60 g of color, 1.1 g/ml, on a third of 6.25 dm². */
  const GROUND_MM = 8.290909;
  const film = { depthMm: GROUND_MM, viscosityPaS: 2.8, seconds: 15 };
  const after = (steadyMm: number, jet: Parameters<typeof dentAfter>[0]['jet']) =>
    dentAfter({ ...film, steadyMm, jet });

  it('is told with the pass it came from, and a distance at which it would be half as deep or less', () => {
    const jet = { ...mouth, distanceMm: 70 };
    const shallow = after(jetOnPaint({ ...jet, slantDeg: 60 }).dentMm, jet);
    expect(tell('air-dug', passes({}, { distanceMm: 70, slantDeg: 60 }, {}))).toMatchObject({
      facts: {
        pass: 2,
        distanceMm: 70,
        straightDown: false,
        dentMm: near(shallow),
        groundMm: near(GROUND_MM),
        aimDistanceMm: near(91),
        aimSlantDeg: 30,
      },
    });
  });

  it('straight down it is no deeper than the law of deep holes lets it be', () => {
    const { exitSpeedMS, exitDiameterMm } = airTool('leaf-blower');
    const jet = { exitSpeedMS, exitDiameterMm, paintDensityKgM3: 1150, distanceMm: 450 };
    const blown = (slantDeg: number) => passes({ tool: 'leaf-blower', distanceMm: 450, slantDeg });
    const [shallow, deep] = [jetOnPaint({ ...jet, slantDeg: 90 }).dentMm, 1.2 * deepDentMm(jet)].map((mm) =>
      after(mm, jet),
    ) as [number, number];
    expect(deep).toBeLessThan(shallow);
    expect(tell('air-dug', blown(90))).toMatchObject({ facts: { straightDown: true, dentMm: near(deep) } });
    expect(tell('air-dug', blown(69))).toMatchObject({
      facts: { straightDown: false, dentMm: near(after(jetOnPaint({ ...jet, slantDeg: 69 }).dentMm, jet)) },
    });
  });

  it('much too deep, the distance grows with its root', () => {
    const dryer = { exitSpeedMS: 18, exitDiameterMm: 43, paintDensityKgM3: 1150, distanceMm: 30 };
    const dent = after(jetOnPaint({ ...dryer, slantDeg: 69 }).dentMm, dryer);
    expect(dent / GROUND_MM).toBeGreaterThan(1.69);
    expect(tell('air-dug', passes({ tool: 'hair-dryer', distanceMm: 30, slantDeg: 69 }))).toMatchObject({
      facts: { aimDistanceMm: near(30 * Math.sqrt(dent / GROUND_MM)) },
    });
  });
});

it('the place in the order counts from the bottom, and a color that was not laid has none', () => {
  const opaque = (id: string) => cups({ [id]: { opacity: 'opaque' } });
  expect(tell('opaque-low', opaque('moss'), 'moss')).toMatchObject({ weight: 0.1, facts: { place: 4 } });
  expect(tell('opaque-low', { ...opaque('rust'), order: ['rust', 'rain'] }, 'rust')).toMatchObject({
    weight: 0.8,
    facts: { place: 1 },
  });
  expect(tell('opaque-low', opaque('white'), 'white')).toBeNull();
  expect(tell('opaque-low', { ...opaque('rust'), order: [] })).toMatchObject({
    weight: 0.1,
    facts: { place: null },
  });
});

it.each<[CauseCode, Partial<PourRecord>, unknown]>([
  ['activator-thick', { technique: 'dutch' }, null],
  ['activator-much', { technique: 'dutch' }, null],
  ['pillow-thin', { technique: 'dutch' }, null],
  ['opaque-low', { technique: 'dutch' }, null],
  ['opaque-low', cups({ rust: { opacity: null } }), null],
  ['colors-unequal', cups({ rain: { laidMg: 0 }, moss: { laidMg: 0 } }), null],
  ['colors-thick', cups({ color: { laidMg: 0 } }), { missing: 'colors' }],
  ['activator-much', cups({ activator: { laidMg: 0 } }), { missing: 'activator-grams' }],
  ['activator-much', cups({ color: { laidMg: 0 } }), { missing: 'activator-grams' }],
  ['air-dug', { passes: [] }, { missing: 'passes' }],
  ['air-dug', { cups: [] }, { missing: 'depth' }],
  ['pillow-thin', cups({ pillow: { laidMg: 0 } }), { missing: 'pillow' }],
  ['base-little', {}, null],
  ['base-little', cups({ pillow: { laidMg: 0 } }), null],
  ['base-little', { ...cups({ pillow: { laidMg: 0 } }), technique: 'dutch' }, { missing: 'base' }],
  ['paint-much', { cups: [] }, { missing: 'laid' }],
])('%s of %j has nothing to weigh', (code, changes, expected) => {
  expect(tell(code, changes)).toEqual(expected);
});

it('a weight stays between none and sure, and above its line the record speaks for it', () => {
  const weightOf = (rpm: number) =>
    why({ ...good, spins: [{ rpm, seconds: 5 }] }, { kind: 'warped', cupId: null }).causes.find(
      ({ code }) => code === 'spun-fast',
    )!;
  expect(weightOf(600)).toMatchObject({ weight: 1, isLikely: true });
  expect(weightOf(1.04 * spinLineRpm)).toMatchObject({ isLikely: true });
  expect(weightOf(spinLineRpm)).toMatchObject({ isLikely: false });
  expect(LIKELY).toBe(0.4);
  expect(weightOf(10)).toMatchObject({ weight: 0 });
});
