import { jetOnPaint } from '../../flow/air/index.ts';
import { amounts, stackLayers } from '../amount/index.ts';
import { EMPTY_PLAN, layOut, usualPass, type Plan } from '../plan/index.ts';
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
import { applyFix, check, groundUnder, depthAndDensity, type CheckCup, type CheckInput } from './index.ts';

const near = (value: number) => expect.closeTo(value, 6) as number;
const found = (given: CheckInput, code: string) => check(given).filter((each) => each.code === code);

describe('the ground under a place', () => {
  const [stack] = bloom.stacks;
  const { x, y } = stack!.at;

  it('is the pile of the nearest stack whose flower reaches there', () => {
    const aside: Plan = {
      ...bloom,
      stacks: [
        { ...stack!, id: 'far', at: { x: x + 60, y }, layers: stack!.layers.slice(0, 1) },
        { ...stack!, id: 'near', at: { x: x + 10, y } },
      ],
    };
    const whole = groundUnder({ plan: bloom, paints, blowers: [] }, { x, y })!;
    expect(groundUnder({ plan: aside, paints, blowers: [] }, { x, y })!.depthMm).toBeCloseTo(
      whole.depthMm,
      1,
    );
  });

  it('ends where the flower ends, and an empty stack is none', () => {
    const radius = stack!.footprintMm / 2;
    const at = (dx: number) => groundUnder({ plan: bloom, paints, blowers: [] }, { x: x + dx, y });
    expect(at(radius - 1)).toBeDefined();
    expect(at(radius + 1)).toBeUndefined();
    const empty: Plan = { ...bloom, stacks: [{ ...stack!, layers: [] }] };
    expect(groundUnder({ plan: empty, paints, blowers: [] }, { x, y })).toBeUndefined();
  });

  it('adds depths up, and its weight is mass by volume', () => {
    const layer = (thicknessMm: number, massG: number, volumeMl: number) =>
      ({ thicknessMm, massG, volumeMl }) as never;
    expect(depthAndDensity([layer(2, 30, 25), layer(1, 12, 10)])).toEqual({
      depthMm: 3,
      densityGPerMl: 42 / 35,
    });
  });
});

describe('a pass that digs', () => {
  /** Every layer in grams: what takes as much as it needs would follow the air. */
  const weighed: Plan = {
    ...bloom,
    stacks: bloom.stacks.map((stack) => ({
      ...stack,
      layers: stack.layers.map((layer) => ({ ...layer, massG: layer.massG ?? 30 })),
    })),
  };
  const passAt = (distanceMm: number, slantDeg: number): Plan => ({
    ...weighed,
    passes: [{ ...usualPass('p', 'hair-dryer', bloom.stacks[0]!.at, 0, 4), distanceMm, slantDeg }],
  });
  const ground = groundUnder({ plan: weighed, paints, blowers: [] }, bloom.stacks[0]!.at)!;
  const dentAt = (distanceMm: number, slantDeg: number) =>
    jetOnPaint({
      ...{ exitSpeedMS: 18, exitDiameterMm: 43, distanceMm, slantDeg },
      paintDensityKgM3: 1000 * ground.densityGPerMl,
    }).dentMm;
  const { marginMm } = bloom.settings;
  /** The slant at which a dryer in its core leaves so much. */
  const slantLeaving = (mm: number) =>
    (Math.asin(Math.sqrt((ground.depthMm - mm) / dentAt(100, 90))) * 180) / Math.PI;

  it('is told from the margin on, as wrong when it reaches the support', () => {
    expect(found(input(passAt(100, slantLeaving(marginMm) - 0.1)), 'dent')).toEqual([]);
    const [skin] = found(input(passAt(100, slantLeaving(marginMm) + 0.1)), 'dent');
    expect(skin).toMatchObject({
      level: 'look',
      facts: { bare: false, depthMm: near(ground.depthMm), marginMm },
    });
    const [bare] = found(input(passAt(100, 89)), 'dent');
    expect(bare).toMatchObject({ level: 'wrong', facts: { bare: true, dentMm: near(dentAt(100, 89)) } });
  });

  it('goes further off in steps of 5 mm while that is within two and a half times as far', () => {
    const [finding] = found(input(passAt(250, 89)), 'dent');
    const fix = finding!.fix as { changes: { distanceMm: number } };
    expect(fix.changes.distanceMm % 5).toBe(0);
    expect(fix.changes.distanceMm).toBeLessThanOrEqual(625);
    expect(ground.depthMm - dentAt(fix.changes.distanceMm, 89)).toBeGreaterThanOrEqual(marginMm - 1e-9);
    expect(ground.depthMm - dentAt(fix.changes.distanceMm - 5, 89)).toBeLessThan(marginMm);
  });

  it('else it is slanted by whole degrees', () => {
    const [finding] = found(input(passAt(60, 89)), 'dent');
    expect(finding!.fix).toEqual({
      kind: 'pass',
      passId: 'p',
      changes: { slantDeg: Math.floor(slantLeaving(marginMm)) },
    });
  });

  it('where even a flat pass digs, it is both, at 15 degrees', () => {
    const thin: Plan = {
      ...passAt(60, 89),
      settings: { ...bloom.settings, marginMm: ground.depthMm - 0.3 },
    };
    const [finding] = found(input(thin), 'dent');
    const fix = finding!.fix as { changes: { distanceMm: number; slantDeg: number } };
    expect(fix.changes.slantDeg).toBe(15);
    expect(fix.changes.distanceMm % 5).toBe(0);
    expect(dentAt(fix.changes.distanceMm, 15)).toBeLessThanOrEqual(0.3 + 1e-9);
    expect(dentAt(fix.changes.distanceMm - 5, 15)).toBeGreaterThan(0.3);
  });

  it('where less paint lies than shall stay, there is no gentler way', () => {
    const thin: Plan = { ...passAt(60, 89), settings: { ...bloom.settings, marginMm: ground.depthMm + 1 } };
    expect(found(input(thin), 'dent')[0]!.fix).toBeNull();
  });
});

describe('a cup', () => {
  const wanted = amounts(board, bloom, paints).paints.find(({ cupId }) => cupId === 'rust')!.massG;
  const withRust = (changes: Partial<CheckCup>) =>
    input(bloom, { cups: paints.map((each) => cupOf(each, each.id === 'rust' ? changes : {})) });

  it('is short from 2 % and 0.05 g on: the scale and the reserve are no finer', () => {
    const least = 0.98 * wanted - 0.05;
    expect(found(withRust({ leftG: least + 0.01 }), 'short')).toEqual([]);
    expect(found(withRust({ leftG: least - 0.01 }), 'short')).toMatchObject([
      { facts: { isMixed: true, wantedG: near(wanted), leftG: near(least - 0.01) } },
    ]);
  });

  it('that is only planned is short, and nothing else', () => {
    const unmixed = withRust({ mixed: false, leftG: 0, testedToday: false, restHours: 9, weakFilm: true });
    const said = check(unmixed).filter(({ facts }) => 'name' in facts && facts.name === 'rust');
    expect(said.map(({ code }) => code)).toEqual(['short']);
    expect(said[0]!.facts).toMatchObject({ isMixed: false });
  });

  it('with little binder is to be looked at, with too much water it is wrong', () => {
    expect(found(withRust({ silicone: true }), 'silicone')).toMatchObject([
      { level: 'look', facts: { name: 'rust' }, fix: { kind: 'tick' } },
    ]);
    expect(found(withRust({ silicone: false }), 'silicone')).toEqual([]);
    expect(found(withRust({ weakFilm: true }), 'weak-film')).toMatchObject([
      { level: 'look', facts: { isAboveWaterLimit: false } },
    ]);
    expect(found(withRust({ water: 'stop' }), 'weak-film')).toMatchObject([
      { level: 'wrong', facts: { isAboveWaterLimit: true } },
    ]);
    expect(found(withRust({ water: 'caution' }), 'weak-film')).toEqual([]);
  });
});

describe('what a fix does', () => {
  const path = {
    id: 'r',
    kind: 'ribbon' as const,
    start: { x: 0, y: 0 },
    control: { x: 50, y: 0 },
    end: { x: 99, y: 0 },
  };
  const plan: Plan = {
    ...bloom,
    base: {
      pattern: 'one',
      areas: [{ cupId: 'wall', share: 1 }],
      seam: null,
      film: { kind: 'run-off', tiltDeg: 30, seconds: 30 },
    },
    paths: [
      {
        ...path,
        layers: [
          { id: 'a', cupId: 'rust', massG: 12 },
          { id: 'b', cupId: 'tide', massG: 0.1 },
        ],
      },
    ],
  };
  const fixed = (fix: Parameters<typeof applyFix>[1], from = plan) =>
    applyFix(from, fix, { newId: counting(), baseId: undefined });

  it('an order is put into its own stack or path only; what it does not name stays above', () => {
    const ids = (now: Plan) => now.paths[0]!.layers.map(({ id }) => id);
    expect(ids(fixed({ kind: 'order', stackId: 'r', order: ['b', 'a'] }))).toEqual(['b', 'a']);
    expect(ids(fixed({ kind: 'order', stackId: 'r', order: ['b'] }))).toEqual(['b', 'a']);
    expect(ids(fixed({ kind: 'order', stackId: 'other', order: ['b', 'a'] }))).toEqual(['a', 'b']);
    const stackIds = bloom.stacks[0]!.layers.map(({ id }) => id);
    const turned = fixed({ kind: 'order', stackId: bloom.stacks[0]!.id, order: stackIds.toReversed() });
    expect(turned.stacks[0]!.layers.map(({ id }) => id)).toEqual(stackIds.toReversed());
  });

  it('less paint is tenths of a gram, never nothing; what takes as much as it needs stays so', () => {
    const less = fixed({ kind: 'scale-layers', factor: 0.33 });
    expect(less.paths[0]!.layers.map(({ massG }) => massG)).toEqual([4, 0.1]);
    expect(less.stacks[0]!.layers[0]!.massG).toBe(bloom.stacks[0]!.layers[0]!.massG);
  });

  it('a base runs off longer by the square of what is less, a thickness is less', () => {
    const ran = fixed({ kind: 'scale-layers', factor: 0.5 });
    expect(ran.base!.film).toEqual({ kind: 'run-off', tiltDeg: 30, seconds: 120 });
    expect(fixed({ kind: 'scale-layers', factor: 0.05 }).base!.film).toMatchObject({ seconds: 3600 });
    const thick: Plan = { ...plan, base: { ...plan.base!, film: { kind: 'thickness', mm: 3 } } };
    expect(fixed({ kind: 'scale-layers', factor: 0.5 }, thick).base!.film).toEqual({
      kind: 'thickness',
      mm: 1.5,
    });
  });

  it('a film, settings and a pass are changed where they are named', () => {
    expect(fixed({ kind: 'film', mm: 1 }).base!.film).toEqual({ kind: 'thickness', mm: 1 });
    expect(fixed({ kind: 'film', mm: 1 }, bloom)).toBe(bloom);
    expect(fixed({ kind: 'settings', changes: { waitSeconds: 90 } }).settings.waitSeconds).toBe(90);
    const [first, second] = plan.passes;
    const passes = fixed({ kind: 'pass', passId: second!.id, changes: { slantDeg: 33 } }).passes;
    expect(passes[0]).toEqual(first);
    expect(passes[1]).toEqual({ ...second, slantDeg: 33 });
  });

  it('a base is one paint that runs off for half a minute at 30 degrees', () => {
    const based = applyFix(bloom, { kind: 'add-base' }, { newId: counting(), baseId: 'wall' });
    expect(based.base).toEqual(plan.base);
    expect(applyFix(bloom, { kind: 'add-base' }, { newId: counting(), baseId: undefined })).toBe(bloom);
  });
});

describe('a ribbon that goes to mud', () => {
  const colors = [
    paint('red', { colorHex: '#c8452f' }),
    paint('green', { colorHex: '#2f8f5c' }),
    paint('white', { colorHex: '#f3f2ec' }),
  ];
  const ribbon = (kind: 'ribbon' | 'flood', ...ids: string[]): CheckInput => {
    const plan: Plan = {
      ...EMPTY_PLAN,
      passes: bloom.passes,
      paths: [
        {
          ...{ id: 'r', kind, start: { x: 0, y: 0 }, control: { x: 50, y: 0 }, end: { x: 99, y: 0 } },
          layers: ids.map((id) => ({ id: `l-${id}`, cupId: id, massG: 10 })),
        },
      ],
    };
    return input(plan, { technique: 'dutch', paints: colors });
  };

  it('says how much of the color is kept, and lays a third color between', () => {
    const [mud, ...more] = found(ribbon('ribbon', 'red', 'green', 'white'), 'mud');
    expect(more).toEqual([]);
    expect(mud!.facts).toMatchObject({ lower: 'red', upper: 'green', keptShare: expect.any(Number) });
    const kept = (mud!.facts as { keptShare: number }).keptShare;
    expect(kept).toBeGreaterThan(0.3);
    expect(kept).toBeLessThan(0.55);
    const fix = mud!.fix as { kind: string; stackId: string; order: string[] };
    expect(fix).toMatchObject({ kind: 'order', stackId: 'r' });
    expect(fix.order[1]).toBe('l-white');
  });

  it('has no better order where there are only the two, and a flood lies beside nothing', () => {
    expect(found(ribbon('ribbon', 'red', 'green'), 'mud')[0]!.fix).toMatchObject({
      kind: 'tick',
      leave: true,
    });
    expect(found(ribbon('flood', 'red', 'green'), 'mud')).toEqual([]);
    expect(found(ribbon('ribbon', 'red', 'white', 'green'), 'mud')).toEqual([]);
  });
});

describe('the activator', () => {
  const [stack] = bloom.stacks;
  const withDose = (massG: number): Plan => ({
    ...bloom,
    stacks: [
      {
        ...stack!,
        layers: stack!.layers.map((layer) => (layer.cupId === 'net' ? { ...layer, massG } : layer)),
      },
    ],
  });
  const area = (Math.PI / 4) * stack!.footprintMm ** 2;
  const doseOf = (sheetMm: number) => (sheetMm * area * 1.2) / 1000;

  it.each([
    [0.11, ['dose-little']],
    [0.13, []],
    [0.49, []],
    [0.51, ['dose-much']],
  ])('a sheet of %d mm is told as %j', (sheetMm, codes) => {
    const said = check(input(withDose(doseOf(sheetMm)))).filter(({ code }) => code.startsWith('dose'));
    expect(said.map(({ code }) => code)).toEqual(codes);
    for (const each of said) expect(each.facts).toEqual({ name: 'net', sheetMm: near(sheetMm) });
  });

  const hasty: Plan = { ...bloom, settings: { ...bloom.settings, waitSeconds: 1 } };
  const opening = () =>
    found(input(hasty), 'opens-late')[0]!.facts as { fromSeconds: number; toSeconds: number };

  it('that opens later than one waits asks for the half minute in which it is surely open', () => {
    const [late] = found(input(hasty), 'opens-late');
    const { fromSeconds, toSeconds } = opening();
    expect(toSeconds / fromSeconds).toBeCloseTo(2, 9);
    expect(late!.fix).toEqual({
      kind: 'settings',
      changes: { waitSeconds: 30 * Math.ceil(toSeconds / 30) },
    });
    const patient: Plan = { ...bloom, settings: { ...bloom.settings, waitSeconds: fromSeconds + 1 } };
    expect(found(input(patient), 'opens-late')).toEqual([]);
  });

  it('that opens before it is blown out is told with both times; passes elsewhere do not count', () => {
    const { fromSeconds, toSeconds } = opening();
    const slow = (at: { x: number; y: number }): Plan => ({
      ...bloom,
      passes: [{ ...usualPass('p', 'mouth', at, 0, toSeconds + 5), slantDeg: 20, distanceMm: 300 }],
    });
    expect(found(input(slow(stack!.at)), 'opens-early')).toMatchObject([
      {
        facts: {
          ...{ name: 'net', fromSeconds: near(fromSeconds), toSeconds: near(toSeconds) },
          blowSeconds: near(toSeconds + 5),
        },
      },
    ]);
    const beside = { x: stack!.at.x + stack!.footprintMm / 2 + 2, y: stack!.at.y };
    expect(found(input(slow(beside)), 'opens-early')).toEqual([]);
  });

  it('“as much as it takes” is no dose to be judged', () => {
    expect(stackLayers(bloom, stack!, paints, []).some(({ layer }) => layer.massG === null)).toBe(true);
    expect(check(input(bloom)).some(({ code }) => code.startsWith('dose'))).toBe(false);
  });
});

describe('the fixes of films and stacks, to the number', () => {
  const white = paint('white', { role: 'base', viscosityPaS: 0.6, colorHex: '#f3f2ec' });
  const dutchPaints = [white, { ...rust, viscosityPaS: 0.6 }];
  const dutch = layOut('diagonal', {
    support: board,
    technique: 'dutch',
    paints: dutchPaints,
    newId: counting(),
  });
  const dutchInput = (plan: Plan) => input(plan, { technique: 'dutch', paints: dutchPaints });

  it('a base film that is off is brought to what a usual run-off leaves', () => {
    // 2/3 sqrt(0.6 x 0.4 / (1100 x 9.81 x 0.5 x 30)) m
    const usual = (2 / 3) * 1000 * Math.sqrt((0.6 * 0.4) / (1100 * 9.81 * 0.5 * 30));
    const laid = (mm: number): Plan => ({
      ...dutch,
      base: { ...dutch.base!, film: { kind: 'thickness', mm } },
    });
    const thin = laid(0.59 * usual);
    expect(found(dutchInput(thin), 'base-thin')).toMatchObject([
      { fix: { kind: 'film', mm: Number(usual.toFixed(2)) }, facts: { usualMm: near(usual) } },
    ]);
    const right = laid(0.61 * usual);
    expect(found(dutchInput(right), 'base-thin')).toEqual([]);
  });

  it('of a Dutch pour so much less is laid that 95 % of the thickest film stay', () => {
    const layers = dutch.paths[1]!.layers.map((layer) => ({ ...layer, massG: 600 }));
    const much: Plan = { ...dutch, paths: [dutch.paths[0]!, { ...dutch.paths[1]!, layers }] };
    const [finding] = found(dutchInput(much), 'too-much');
    const { filmMm } = finding!.facts as { filmMm: number };
    expect(finding!.fix).toEqual({ kind: 'scale-layers', factor: near((0.95 * 2.6) / filmMm) });
  });

  const [stack] = bloom.stacks;
  it('an activator that is no heavier than any color is not said to make no cells: the sheet itself opens', () => {
    const light = paints.map((each) => (each.role === 'color' ? { ...each, densityGPerMl: 1.3 } : each));
    const codes = check(input(bloom, { paints: light })).map(({ code }) => code);
    expect(codes.filter((code) => code.startsWith('opens'))).toEqual([]);
  });

  it('a pile without an activator neither opens nor has a dose', () => {
    const bare: Plan = {
      ...bloom,
      stacks: [{ ...stack!, layers: stack!.layers.filter(({ cupId }) => cupId !== 'net') }],
    };
    const codes = check(input(bare)).map(({ code }) => code);
    for (const code of ['opens-early', 'opens-late', 'dose-little', 'dose-much']) {
      expect(codes).not.toContain(code);
    }
  });

  it('more than ten layers are not put in another order', () => {
    const muddy = paints.map((each) => (each.id === 'tide' ? { ...each, colorHex: '#2f8f6c' } : each));
    const layered = (count: number): Plan => ({
      ...bloom,
      stacks: [
        {
          ...stack!,
          layers: Array.from({ length: count }, (_, at) => ({
            id: `l${at}`,
            cupId: at % 2 === 0 ? 'rust' : 'tide',
            massG: 5,
          })),
        },
      ],
    });
    const fixes = (count: number) =>
      found(input(layered(count), { paints: muddy }), 'mud').map(({ fix }) => fix?.kind);
    expect(fixes(10)).toContain('order');
    expect(fixes(11)).not.toContain('order');
  });
});
