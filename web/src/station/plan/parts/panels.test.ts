import { USUAL_FILM } from '@icy-ribbon/core/piece/plan';
import { EMPTY_PLAN, moveInOrder, replaceItem, usualPass, type PlanBase } from '@icy-ribbon/core/piece/plan';
import { baseIn, withThird } from './basePattern.ts';
import { itemHandles, seamHandles } from './handles.ts';
import { planKeys, type PlanDoings } from './planKeys.ts';
import { isAsShown, typedWithin } from './typed.ts';
import { rulerTicks } from './useSample.ts';

const SUPPORT = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const paint = (id: string, role: string) => ({ id, role }) as never;

describe('a typed number', () => {
  it('comes inside its limits', () => {
    expect(typedWithin(900, 20, [5, 600])).toBe(600);
    expect(typedWithin(1, 20, [5, 600])).toBe(5);
    expect(typedWithin(33, 20, [5, 600])).toBe(33);
  });

  it('that was not typed, or only rounded what stood there, changes nothing', () => {
    expect(typedWithin(null, 20, [5, 600])).toBeNull();
    expect(typedWithin(20, 20.004, [5, 600])).toBeNull();
    expect(isAsShown(20, 20.01)).toBe(false);
  });
});

describe('a base', () => {
  it('begins with the first base paint and runs off as usual', () => {
    const base = baseIn('one', null, [paint('rust', 'color'), paint('white', 'base')], SUPPORT);
    expect(base).toEqual({
      pattern: 'one',
      areas: [{ cupId: 'white', share: 1 }],
      seam: null,
      film: USUAL_FILM,
    });
    expect(baseIn('one', null, [], SUPPORT)).toBeNull();
  });

  it('that is split has two paints and a straight seam; a seam that was bent stays', () => {
    const two = [paint('white', 'base'), paint('black', 'base')];
    const split = baseIn('split', null, two, SUPPORT)!;
    expect(split.areas.map(({ cupId, share }) => [cupId, share])).toEqual([
      ['white', 0.5],
      ['black', 0.5],
    ]);
    expect(split.seam).toEqual({
      start: { x: 150, y: 0 },
      control: { x: 150, y: 200 },
      end: { x: 150, y: 400 },
    });
    const bent = { ...split, seam: { ...split.seam!, control: { x: 90, y: 200 } } };
    expect(baseIn('split', bent, two, SUPPORT)!.seam!.control.x).toBe(90);
    expect(baseIn('marbled', bent, two, SUPPORT)!.seam).toBeNull();
  });

  it('that is marbled may have a third paint, in equal shares', () => {
    const base: PlanBase = {
      pattern: 'marbled',
      areas: [
        { cupId: 'a', share: 0.7 },
        { cupId: 'b', share: 0.3 },
      ],
      seam: null,
      film: USUAL_FILM,
    };
    const three = withThird(base, true);
    expect(three.areas.map(({ cupId }) => cupId)).toEqual(['a', 'b', 'a']);
    expect(three.areas[0]!.share).toBeCloseTo(1 / 3, 12);
    expect(withThird(three, false).areas.map(({ share }) => share)).toEqual([0.5, 0.5]);
  });
});

describe('what can be pulled', () => {
  const at = { x: 100, y: 100 };

  it('a flower by its size, never smaller than a drop', () => {
    let pulled: unknown;
    const stack = { id: 's', at, footprintMm: 60, layers: [] };
    const [size] = itemHandles(stack, SUPPORT, (item) => (pulled = item));
    expect(size!.at).toEqual({ x: 130, y: 100 });
    size!.drag({ x: 100, y: 140 });
    expect(pulled).toMatchObject({ id: 's', footprintMm: 80 });
    size!.drag(at);
    expect(pulled).toMatchObject({ footprintMm: 5 });
  });

  it('a line by its ends and its bend, which goes through where it is pulled to', () => {
    let pulled: { control?: { x: number; y: number } } = {};
    const path = {
      id: 'p',
      kind: 'ribbon' as const,
      start: { x: 0, y: 0 },
      control: { x: 50, y: 0 },
      end: { x: 100, y: 0 },
      layers: [],
    };
    const handles = itemHandles(path, SUPPORT, (item) => (pulled = item as typeof pulled));
    expect(handles.map(({ name }) => name)).toEqual(['start', 'bend', 'end']);
    handles[1]!.drag({ x: 50, y: 40 });
    expect(pulled.control).toEqual({ x: 50, y: 80 });
  });

  it('a pass by its direction, clockwise from the top', () => {
    let pulled: unknown;
    const pass = usualPass('a', 'hair-dryer', at, 0, 3);
    const [direction] = itemHandles(pass, SUPPORT, (item) => (pulled = item));
    direction!.drag({ x: 200, y: 100 });
    expect(pulled).toMatchObject({ directionDeg: 90 });
  });

  it('the seam of a split base, whose ends stay on the support', () => {
    const seam = { start: { x: 150, y: 0 }, control: { x: 150, y: 200 }, end: { x: 150, y: 400 } };
    const base = { pattern: 'split', areas: [], seam, film: USUAL_FILM } as PlanBase;
    let pulled = seam;
    const handles = seamHandles(base, null, SUPPORT, (bent) => (pulled = bent));
    handles[2]!.drag({ x: 900, y: 900 });
    expect(pulled.end.x).toBeLessThanOrEqual(300);
    expect(pulled.end.y).toBeLessThanOrEqual(400);
    expect(seamHandles({ ...base, pattern: 'one' }, null, SUPPORT, () => {})).toEqual([]);
  });
});

describe('passes in the order of the work', () => {
  const passes = [1, 2, 3].map((seconds) =>
    usualPass(String(seconds), 'hair-dryer', { x: 10, y: 10 }, 0, seconds),
  );
  const plan = { ...EMPTY_PLAN, passes };
  const order = (now: typeof plan) => now.passes.map(({ id }) => id);

  it('go earlier and later, and not beyond the ends', () => {
    expect(order(moveInOrder(plan, '3', -1) as typeof plan)).toEqual(['1', '3', '2']);
    expect(order(moveInOrder(plan, '1', 1) as typeof plan)).toEqual(['2', '1', '3']);
    expect(moveInOrder(plan, '1', -1)).toBe(plan);
    expect(moveInOrder(plan, '3', 1)).toBe(plan);
    expect(moveInOrder(plan, 'gone', 1)).toBe(plan);
  });

  it('one that was changed takes the place of what it was', () => {
    const changed = replaceItem(plan, { ...passes[1]!, seconds: 9 });
    expect(changed.passes.map(({ seconds }) => seconds)).toEqual([1, 9, 3]);
  });
});

it('a ruler is thinned out where the pile is high, and reads in inches', () => {
  expect(rulerTicks(3.5, false).map(({ words }) => words)).toEqual(['0', '1', '2', '3']);
  expect(rulerTicks(11, false).map(({ words }) => words)).toEqual(['0', '2', '4', '6', '8', '10']);
  expect(rulerTicks(20, false).map(({ mm }) => mm)).toEqual([0, 5, 10, 15, 20]);
  expect(rulerTicks(2.6, true).map(({ words }) => words)).toEqual(['0', '0.05', '0.1']);
});

describe('the keys of Plan', () => {
  const done: unknown[][] = [];
  const doing =
    (name: string) =>
    (...given: unknown[]) =>
      void done.push([name, ...given]);
  const names: (keyof PlanDoings)[] = [
    ...(['lay', 'putInTheMiddle', 'stepThrough', 'nudge', 'act', 'undo', 'redo'] as const),
    ...(['zoomBy', 'fitAll', 'letGo', 'show', 'goPour'] as const),
  ];
  const keys = planKeys(Object.fromEntries(names.map((name) => [name, doing(name)])) as never);
  const press = (key: string, shiftKey = false) => {
    done.length = 0;
    keys.find((each) => each.keys.includes(key))!.run({ shiftKey } as KeyboardEvent);
    return done[0];
  };

  it('no key does two things', () => {
    const all = keys.flatMap((each) => each.keys);
    expect(new Set(all).size).toBe(all.length);
  });

  it.each([
    ['ArrowLeft', ['nudge', -5, 0]],
    ['ArrowDown', ['nudge', 0, 5]],
    ['Delete', ['act', 'remove']],
    ['v', ['act', 'column']],
    ['k', ['putInTheMiddle', 'ribbon']],
    ['p', ['stepThrough', -1]],
    ['a', ['show', 'air']],
  ])('%s does %j', (key, does) => {
    expect(press(key)).toEqual(does);
  });

  it('Shift moves by a millimeter, plus and minus undo each other', () => {
    expect(press('ArrowUp', true)).toEqual(['nudge', 0, -1]);
    expect(Number(press('+')![1]) * Number(press('-')![1])).toBeCloseTo(1, 12);
  });
});
