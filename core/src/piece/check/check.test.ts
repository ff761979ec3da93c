import { amounts } from '../amount/index.ts';
import { EMPTY_PLAN, layOut, type Plan, type PlanPaint } from '../plan/index.ts';
import { counting, paint } from '../plan/testing.ts';
import type { SupportSize } from '../support/index.ts';
import { applyFix, check, fixWords, isPlanFix, type CheckCup, type CheckInput } from './index.ts';

const board: SupportSize = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 };
const pillow = paint('wall', { role: 'pillow', viscosityPaS: 4, densityGPerMl: 1.35, colorHex: '#f4f2ee' });
const rust = paint('rust', { colorHex: '#9c4a2c', densityGPerMl: 1.2 });
const tide = paint('tide', { colorHex: '#b8452c', densityGPerMl: 1.12, viscosityPaS: 2.2 });
const net = paint('net', { role: 'activator', colorHex: '#f3f2ec', viscosityPaS: 0.6, densityGPerMl: 1.2 });
const paints = [pillow, rust, tide, net];

const cupOf = (each: PlanPaint, changes: Partial<CheckCup> = {}): CheckCup => ({
  id: each.id,
  name: each.name,
  role: each.role,
  viscosityPaS: each.viscosityPaS,
  spreadLn: 0.1,
  mixed: true,
  leftG: 2000,
  testedToday: true,
  restHours: 0,
  water: 'fine',
  weakFilm: false,
  ...changes,
});

const bloom = layOut('center-bloom', { support: board, technique: 'bloom', paints, newId: counting() });

function input(plan: Plan, changes: Partial<CheckInput> = {}): CheckInput {
  const all = changes.paints ?? paints;
  return {
    technique: 'bloom',
    support: board,
    plan,
    paints: all,
    cups: all.map((each) => cupOf(each)),
    blowers: [],
    amounts: amounts(board, plan, all),
    ticked: [],
    ...changes,
  };
}
const words = (given: CheckInput) => check(given).map((finding) => finding.words);

it('a bloom with matched cups needs only what is done at the table, and ticked off it is clean', () => {
  const findings = check(input(bloom));
  expect(findings.map(({ level }) => level)).toEqual(findings.map(() => 'do'));
  const ticked = findings.map(({ id }) => id);
  expect(check(input(bloom, { ticked }))).toEqual([]);
});

it('an empty plan says so', () => {
  expect(words(input(EMPTY_PLAN))).toEqual(['Nothing is laid yet: choose a layout or put a stack down.']);
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
  expect(finding.words).toMatch(/digs to the support/);
  expect(finding.because).toMatch(/Hair dryer, cool at 8 cm, 90°: dent 1\d/);
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(dug, finding.fix, { newId: counting(), baseId: undefined });
  expect(check(input(mended)).filter(({ id }) => id.startsWith('dent'))).toEqual([]);
});

it('a color that sinks is named with its numbers, and the better order mends it', () => {
  const heavy = { ...tide, densityGPerMl: 1.42, viscosityPaS: 4 };
  const all = [pillow, { ...rust, densityGPerMl: 1.08, viscosityPaS: 1.8 }, heavy, net];
  const finding = check(input(bloom, { paints: all })).find(({ id }) => id.startsWith('sinks'))!;
  expect(finding.words).toBe('tide sinks into rust.');
  expect(finding.because).toMatch(/1\.42 over 1\.08/);
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(bloom, finding.fix, { newId: counting(), baseId: undefined });
  expect(mended.stacks[0]!.layers.map((layer) => layer.paintId)).toEqual(['wall', 'tide', 'rust', 'net']);
  expect(words(input(mended, { paints: all }))).not.toContain('rust sinks into tide.');
});

it('neighbors that go to mud are named', () => {
  const all = [pillow, rust, { ...tide, colorHex: '#2f8f6c' }, net];
  expect(words(input(bloom, { paints: all })).join()).toMatch(/goes to mud/);
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
  expect(of('short')).toMatchObject({ level: 'wrong', fix: { kind: 'mix', paintId: 'wall' } });
  expect(of('untested')).toMatchObject({ words: 'rust was not tested today.', level: 'do' });
  expect(of('rest')!.because).toBe('14 h more under the lid');
  expect(of('film-weak')).toMatchObject({ level: 'wrong', fix: { kind: 'go', to: 'mix' } });
});

it('an activator dose that is too large is brought back to the usual sheet', () => {
  const layers = bloom.stacks[0]!.layers.map((layer) =>
    layer.paintId === 'net' ? { ...layer, massG: 60 } : layer,
  );
  const much: Plan = { ...bloom, stacks: [{ ...bloom.stacks[0]!, layers }] };
  const finding = check(input(much)).find(({ id }) => id.startsWith('dose'))!;
  expect(finding.words).toMatch(/blob/);
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(much, finding.fix, { newId: counting(), baseId: undefined });
  expect(check(input(mended)).some(({ id }) => id.startsWith('dose'))).toBe(false);
});

it('an activator that is too light for cells asks for a lighter color under it', () => {
  const all = [pillow, { ...rust, densityGPerMl: 1.08 }, { ...tide, densityGPerMl: 1.25 }, net];
  const finding = check(input(bloom, { paints: all })).find(({ id }) => id.startsWith('stable'))!;
  expect(finding.because).toBe('1.2 over 1.25 g/ml');
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  const mended = applyFix(bloom, finding.fix, { newId: counting(), baseId: undefined });
  expect(mended.stacks[0]!.layers.map((layer) => layer.paintId)).toEqual(['wall', 'tide', 'rust', 'net']);
  expect(check(input(mended, { paints: all })).some(({ id }) => id.startsWith('stable'))).toBe(false);
});

it('a bloom with too much paint on is spun until it is right, and the spinner’s caution is shown', () => {
  const layers = bloom.stacks[0]!.layers.map((layer) =>
    layer.paintId === 'rust' ? { ...layer, massG: 500 } : layer,
  );
  const much: Plan = { ...bloom, stacks: [{ ...bloom.stacks[0]!, layers }] };
  const finding = check(input(much)).find(({ id }) => id === 'too-much')!;
  if (!finding.fix || !isPlanFix(finding.fix)) throw new Error('no fix');
  expect(fixWords(finding.fix)).toMatch(/^Spin \d+ s$/);
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
    [{ kind: 'thickness', mm: 0.2 } as const, /bare edges/],
    [{ kind: 'thickness', mm: 4 } as const, /too thick/],
  ])('a base film of %j', (film, said) => {
    const plan: Plan = { ...dutch, base: { ...dutch.base!, film } };
    const finding = check(dutchInput(plan)).find(({ id }) => id.startsWith('film '))!;
    expect(finding.words).toMatch(said);
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
    expect(mended.base!.areas[0]!.paintId).toBe('white');
  });
});

it('every fix says on its button what it does', () => {
  const kinds = [
    { kind: 'go', to: 'mix' },
    { kind: 'mix', paintId: 'x' },
    { kind: 'tick', id: 'x' },
    { kind: 'tick', id: 'x', leave: true },
    { kind: 'order', stackId: 's', order: [] },
    { kind: 'layer', layerId: 'l', massG: null },
    { kind: 'scale-layers', factor: 0.8 },
    { kind: 'film', mm: 1 },
    { kind: 'settings', changes: { waitSeconds: 90 } },
    { kind: 'settings', changes: { spinRpm: 60, spinSeconds: 20 } },
    { kind: 'pass', passId: 'p', changes: { distanceMm: 120, slantDeg: 30 } },
    { kind: 'add-passes' },
    { kind: 'add-base' },
  ] as const;
  const said = kinds.map(fixWords);
  expect(said.every((each) => each.length > 3)).toBe(true);
  expect(said).toContain('From 12 cm, 30° slant');
  expect(said).toContain('Lay 20 % less');
});
