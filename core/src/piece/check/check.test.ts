import { EMPTY_PLAN, layOut, type Plan } from '../plan/index.ts';
import {
  BLOOM as bloom,
  BLOOM_PAINTS as paints,
  BOARD as board,
  checkInput as input,
  counting,
  paint,
  readyCup as cupOf,
  RUST as rust,
} from '../../../testing/index.ts';
import { applyFix, check, isPlanFix, type CheckInput } from './index.ts';

const [pillow, , tide, net] = paints;

const codes = (given: CheckInput) => check(given).map(({ code }) => code);

it('a bloom with matched cups needs only what is done at the table, and ticked off it is clean', () => {
  const findings = check(input(bloom));
  expect(findings.map(({ level }) => level)).toEqual(findings.map(() => 'do'));
  const ticked = findings.map(({ id }) => id);
  expect(check(input(bloom, { ticked }))).toEqual([]);
});

it('an empty plan says so', () => {
  expect(codes(input(EMPTY_PLAN))).toEqual(['empty']);
});

it('worst comes first', () => {
  const cups = paints.map((each) => cupOf(each, { leftG: each.id === 'tide' ? 0 : 500, testedToday: false }));
  const levels = check(input(bloom, { cups })).map(({ level }) => level);
  expect(levels).toEqual([...levels].sort((a, b) => 'wld'.indexOf(a[0]!) - 'wld'.indexOf(b[0]!)));
  expect(levels[0]).toBe('wrong');
});

it('a straight dryer digs through the pillow, and the fix keeps the margin', () => {
  const passes = bloom.passes.slice(0, 1).map((pass) => ({
    ...pass,
    tool: 'hair-dryer' as const,
    distanceMm: 80,
    slantDeg: 90,
  }));
  const layers = bloom.stacks[0]!.layers.map((layer) => ({ ...layer, massG: layer.massG ?? 60 }));
  const dug: Plan = { ...bloom, stacks: [{ ...bloom.stacks[0]!, layers }], passes };
  const finding = check(input(dug)).find(({ id }) => id.startsWith('dent'))!;
  expect(finding).toMatchObject({
    code: 'dent',
    facts: { pass: 1, bare: true, tool: 'hair-dryer', distanceMm: 80, slantDeg: 90 },
  });
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(dug, finding.fix, { newId: counting(), baseId: undefined });
  expect(check(input(mended)).filter(({ id }) => id.startsWith('dent'))).toEqual([]);
});

it('a color that sinks is named with its numbers, and the better order mends it', () => {
  const heavy = { ...tide, densityGPerMl: 1.42, viscosityPaS: 4 };
  const all = [pillow, { ...rust, densityGPerMl: 1.08, viscosityPaS: 1.8 }, heavy, net];
  const finding = check(input(bloom, { paints: all })).find(({ id }) => id.startsWith('sinks'))!;
  expect(finding.facts).toMatchObject({
    ...{ upper: 'tide', lower: 'rust' },
    ...{ upperGPerMl: 1.42, lowerGPerMl: 1.08 },
  });
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(bloom, finding.fix, { newId: counting(), baseId: undefined });
  expect(mended.stacks[0]!.layers.map((layer) => layer.cupId)).toEqual(['wall', 'tide', 'rust', 'net']);
  const stillSinks = check(input(mended, { paints: all })).filter(({ code }) => code === 'sinks');
  expect(stillSinks.map(({ facts }) => facts)).not.toContainEqual(
    expect.objectContaining({ upper: 'rust', lower: 'tide' }),
  );
});

it('neighbors that go to mud are named', () => {
  const all = [pillow, rust, { ...tide, colorHex: '#2f8f6c' }, net];
  expect(codes(input(bloom, { paints: all }))).toContain('mud');
});

it('short cups, cups not tested, fresh and weak ones are named with what to do', () => {
  const cups = [
    cupOf(pillow, { leftG: 1 }),
    cupOf(rust, { testedToday: false }),
    cupOf(tide, { restHours: 14 }),
    cupOf(net, { water: 'stop' }),
  ];
  const found = check(input(bloom, { cups }));
  const of = (id: string) => found.find((finding) => finding.id.startsWith(id));
  expect(of('short')).toMatchObject({ level: 'wrong', fix: { kind: 'mix', cupId: 'wall' } });
  expect(of('untested')).toMatchObject({ code: 'untested', facts: { name: 'rust' }, level: 'do' });
  expect(of('rest')!.facts).toEqual({ name: 'tide', restHours: 14 });
  expect(of('film-weak')).toMatchObject({ level: 'wrong', fix: { kind: 'go', to: 'mix' } });
});

it('an activator dose that is too large is brought back to the usual sheet', () => {
  const layers = bloom.stacks[0]!.layers.map((layer) =>
    layer.cupId === 'net' ? { ...layer, massG: 60 } : layer,
  );
  const much: Plan = { ...bloom, stacks: [{ ...bloom.stacks[0]!, layers }] };
  const finding = check(input(much)).find(({ id }) => id.startsWith('dose'))!;
  expect(finding.code).toBe('dose-much');
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(much, finding.fix, { newId: counting(), baseId: undefined });
  expect(check(input(mended)).some(({ id }) => id.startsWith('dose'))).toBe(false);
});

it('a bloom with too much paint on is spun until it is right, and the spinner’s caution is shown', () => {
  const layers = bloom.stacks[0]!.layers.map((layer) =>
    layer.cupId === 'rust' ? { ...layer, massG: 500 } : layer,
  );
  const settings = { ...bloom.settings, spinRpm: 0, spinSeconds: 0 };
  const much: Plan = { ...bloom, settings, stacks: [{ ...bloom.stacks[0]!, layers }] };
  const finding = check(input(much)).find(({ id }) => id === 'too-much')!;
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  expect(finding.fix).toMatchObject({ kind: 'settings', changes: { spinRpm: 55 } });
  const mended = applyFix(much, finding.fix, { newId: counting(), baseId: undefined });
  const ids = check(input(mended)).map(({ id }) => id);
  expect(ids).not.toContain('too-much');
  expect(ids).toContain('spinner');
});

it('what cannot be mended in the plan can be left knowingly', () => {
  const cups = paints.map((each) => cupOf(each, { restHours: each.id === 'rust' ? 5 : 0 }));
  const finding = check(input(bloom, { cups })).find(({ id }) => id.startsWith('rest'))!;
  expect(finding.fix).toEqual({ kind: 'tick', id: finding.id, leave: true });
});

it('a neon is said to take over unless it is laid small (common practice)', () => {
  const neon = { ...rust, finish: 'neon' as const };
  const neonPaints = paints.map((each) => (each.id === 'rust' ? neon : each));
  const said = (plan: Plan) =>
    check(input(plan, { paints: neonPaints })).filter(({ code }) => code === 'neon');
  expect(said(bloom)).toMatchObject([{ level: 'look', facts: { name: 'rust', equalShare: 0.5 } }]);
  const small: Plan = {
    ...bloom,
    stacks: bloom.stacks.map((stack) => ({
      ...stack,
      layers: stack.layers.map((layer) => (layer.cupId === 'rust' ? { ...layer, massG: 3 } : layer)),
    })),
  };
  expect(said(small)).toEqual([]);
});

describe('too much and too little', () => {
  const white = paint('white', { role: 'base', viscosityPaS: 0.6, colorHex: '#f3f2ec' });
  const dutchPaints = [white, { ...rust, viscosityPaS: 0.6 }];
  const dutch = layOut('diagonal', {
    support: board,
    technique: 'dutch',
    paints: dutchPaints,
    newId: counting(),
  });
  const dutchInput = (plan: Plan) =>
    input(plan, { technique: 'dutch', paints: dutchPaints, cups: dutchPaints.map((each) => cupOf(each)) });

  it.each([
    [{ kind: 'thickness', mm: 0.2 } as const, 'base-thin'],
    [{ kind: 'thickness', mm: 4 } as const, 'base-thick'],
  ])('a base film of %j', (film, said) => {
    const plan: Plan = { ...dutch, base: { ...dutch.base!, film } };
    const finding = check(dutchInput(plan)).find(({ id }) => id.startsWith('film '))!;
    expect(finding.code).toBe(said);
    if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
    const mended = applyFix(plan, finding.fix, { newId: counting(), baseId: 'white' });
    expect(check(dutchInput(mended)).some(({ id }) => id.startsWith('film '))).toBe(false);
  });

  it('too much paint in all is laid thinner by the fix', () => {
    const layers = dutch.paths[1]!.layers.map((layer) => ({ ...layer, massG: 600 }));
    const plan: Plan = { ...dutch, paths: [dutch.paths[0]!, { ...dutch.paths[1]!, layers }] };
    const finding = check(dutchInput(plan)).find(({ id }) => id === 'too-much')!;
    if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
    const mended = applyFix(plan, finding.fix, { newId: counting(), baseId: 'white' });
    expect(check(dutchInput(mended)).some(({ id }) => id === 'too-much')).toBe(false);
  });

  it('a plan without air or base is given them', () => {
    const bare: Plan = { ...dutch, base: null, passes: [] };
    const fixes = check(dutchInput(bare)).flatMap(({ fix }) => (fix && isPlanFix(fix) ? [fix] : []));
    expect(fixes.map(({ kind }) => kind)).toEqual(['add-passes', 'add-base']);
    const mended = fixes.reduce(
      (plan, fix) => applyFix(plan, fix, { newId: counting(), baseId: 'white' }),
      bare,
    );
    expect(mended.passes.length).toBeGreaterThan(1);
    expect(mended.base!.areas[0]!.cupId).toBe('white');
  });
});

it('stacks that are alike are spoken of once', () => {
  const heavy = { ...tide, densityGPerMl: 1.42, viscosityPaS: 4 };
  const all = [pillow, { ...rust, densityGPerMl: 1.08, viscosityPaS: 1.8 }, heavy, net];
  const [stack] = bloom.stacks;
  const twice: Plan = { ...bloom, stacks: [stack!, { ...stack!, id: 'again', at: { x: 60, y: 60 } }] };
  expect(codes(input(twice, { paints: all })).filter((code) => code === 'sinks')).toHaveLength(1);
});
