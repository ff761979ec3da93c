import fc from 'fast-check';
import { paintedArea, type SupportSize } from '../support/index.ts';
import {
  align,
  areaMm2,
  bentThrough,
  curveMiddle,
  duplicateItems,
  EMPTY_PLAN,
  findItem,
  broughtOnto,
  layOut,
  LAYOUTS,
  mirror,
  moveItems,
  planSchema,
  removeItems,
  rowPlaces,
  scalePlan,
  seamShares,
  seamSides,
} from './index.ts';
import { counting, paint } from '../../../testing/index.ts';

const board: SupportSize = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 };
const round: SupportSize = { shape: 'round', widthMm: 300, heightMm: 300, sideDepthMm: 0 };
const paints = [
  paint('white', { role: 'base', viscosityPaS: 0.6 }),
  paint('gray', { role: 'base', viscosityPaS: 0.6 }),
  paint('pillow', { role: 'pillow', viscosityPaS: 5, densityGPerMl: 1.35 }),
  paint('rust'),
  paint('rain'),
  paint('brass'),
  paint('net', { role: 'activator', viscosityPaS: 0.5 }),
];
const lay = (name: (typeof LAYOUTS)[number]['name'], support = board) =>
  layOut(name, { support, technique: 'bloom', paints, newId: counting() });

describe('a seam', () => {
  it('down the middle halves the face; off the middle it shares it by area', () => {
    const down = (x: number) => ({
      start: { x, y: 0 },
      control: { x, y: 200 },
      end: { x, y: 400 },
    });
    expect(seamShares(board, down(150))).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)]);
    expect(seamShares(board, down(75))[1]).toBeCloseTo(0.25, 9);
    expect(seamShares(round, { ...down(150), end: { x: 150, y: 300 } })[0]).toBeCloseTo(0.5, 3);
  });

  it('from corner to corner halves it, bent by a parabola it takes 2/3 of the bow (Archimedes)', () => {
    const [left, right] = seamShares(board, {
      start: { x: 0, y: 0 },
      control: { x: 150, y: 200 },
      end: { x: 300, y: 400 },
    });
    expect(left).toBeCloseTo(right, 9);
    const ends = { start: { x: 150, y: 0 }, end: { x: 150, y: 400 } };
    const bow = 40;
    const bent = { ...ends, control: bentThrough(ends, { x: 150 + bow, y: 200 }) };
    const share = ((2 / 3) * bow * 400) / (300 * 400);
    expect(seamShares(board, bent)[1]).toBeCloseTo(0.5 + share, 3);
  });

  it('always cuts the face into two that make it up again', () => {
    const x = fc.double({ min: 0, max: 300, noNaN: true });
    const y = fc.double({ min: 0, max: 400, noNaN: true });
    fc.assert(
      fc.property(y, y, x, y, (from, to, cx, cy) => {
        const seam = { start: { x: 0, y: from }, control: { x: cx, y: cy }, end: { x: 300, y: to } };
        const [left, right] = seamSides(board, seam);
        expect(areaMm2(left) + areaMm2(right)).toBeCloseTo(300 * 400, 3);
      }),
    );
  });

  it('what leaves the face is drawn back to its edge', () => {
    expect(broughtOnto(board, { x: -20, y: 500 })).toEqual({ x: 0, y: 400 });
    expect(broughtOnto(round, { x: 450, y: 150 })).toEqual({ x: 300, y: 150 });
  });
});

describe('ready layouts', () => {
  it.each(LAYOUTS.map(({ name }) => name))('%s is a whole plan on a board, a round and a coaster', (name) => {
    for (const support of [board, round, { ...board, widthMm: 100, heightMm: 100 }]) {
      const plan = lay(name, support);
      expect(planSchema.safeParse(plan).error).toBeUndefined();
      const { card, spinRpm } = plan.settings;
      expect(plan.passes.length > 1 || card || spinRpm > 0).toBe(true);
      expect(plan.stacks.length + plan.paths.length).toBeGreaterThan(0);
      for (const { at } of [...plan.stacks, ...plan.passes]) expect(broughtOnto(support, at)).toEqual(at);
    }
  });

  it('a bloom stands on its pillow, its colors alike with a smaller one on top, then the activator', () => {
    const [stack] = lay('center-bloom').stacks;
    expect(stack!.layers.map((layer) => layer.cupId)).toEqual(['pillow', 'rust', 'rain', 'brass', 'net']);
    const [pillow, first, second, third, net] = stack!.layers.map((layer) => layer.massG);
    expect([pillow, net]).toEqual([null, null]);
    expect(first!).toBe(second!);
    expect(second!).toBeGreaterThan(third!);
    expect(stack!.at).toEqual({ x: 150, y: 200 });
  });

  it('each flower of a row touches an edge, one the upper, the next the lower', () => {
    for (const count of [3, 5, 9]) {
      const places = rowPlaces({ ...board, widthMm: 600, heightMm: 200 }, count);
      expect(places).toHaveLength(count);
      places.forEach(({ place, footprintMm }, index) => {
        const edge = index % 2 === 0 ? place.y - footprintMm / 2 : place.y + footprintMm / 2;
        expect(edge).toBeCloseTo(index % 2 === 0 ? 0 : 200, 9);
      });
    }
  });

  it('a split base meets on the seam, the colors lie along it', () => {
    const plan = lay('seam');
    expect(plan.base!.pattern).toBe('split');
    expect(plan.base!.areas.map((area) => area.cupId)).toEqual(['white', 'gray']);
    expect(plan.paths.map((path) => path.kind)).toEqual(['flood', 'ribbon']);
  });
});

describe('taking hold', () => {
  const plan = lay('center-bloom');
  const stackId = plan.stacks[0]!.id;

  it('moving there and back is where it was; removing leaves the rest', () => {
    expect(moveItems(moveItems(plan, [stackId], 30, -12), [stackId], -30, 12)).toEqual(plan);
    expect(removeItems(plan, [stackId]).stacks).toEqual([]);
    expect(removeItems(plan, [stackId]).passes).toEqual(plan.passes);
  });

  it('a copy has ids of its own, in its layers too', () => {
    const copied = duplicateItems(plan, [stackId], counting('copy'));
    const copy = findItem(copied.plan, copied.ids[0]!)!;
    expect(copied.plan.stacks).toHaveLength(2);
    expect(copy).toMatchObject({ at: { x: 170, y: 220 } });
  });

  it('mirrored twice is as before, and a pass to the right blows to the left', () => {
    const all = lay('diagonal');
    for (const axis of ['left-right', 'top-bottom'] as const) {
      expect(mirror(mirror(all, [], board, axis), [], board, axis)).toEqual(all);
    }
    const turned = mirror(all, [], board, 'left-right').passes.map((pass) => pass.directionDeg);
    expect(turned).toEqual([315, 225, 45]);
  });

  it('a mirrored seam keeps each base on its side of the seam', () => {
    const split = lay('seam');
    const [left] = seamShares(board, split.base!.seam!);
    const flipped = mirror(split, [], board, 'left-right');
    const [, right] = seamShares(board, flipped.base!.seam!);
    expect(right).toBeCloseTo(1 - left, 9);
    expect(seamShares(board, flipped.base!.seam!)[0]).toBeCloseTo(left, 9);
  });

  it('one alone is lined up with the middle, several with one another', () => {
    const moved = moveItems(plan, [stackId], 40, 25);
    expect(align(moved, [stackId], board, 'row').stacks[0]!.at).toEqual({ x: 190, y: 200 });
    const { plan: two, ids } = duplicateItems(moved, [stackId], counting('copy'));
    const lined = align(two, [stackId, ids[0]!], board, 'column').stacks.map((stack) => stack.at.x);
    expect(lined[0]).toBeCloseTo(lined[1]!, 9);
  });

  it('bending through a place puts the middle of the curve there', () => {
    const ends = { start: { x: 0, y: 0 }, end: { x: 100, y: 20 } };
    const middle = { x: 60, y: -30 };
    expect(curveMiddle({ ...ends, control: bentThrough(ends, middle) })).toEqual(middle);
  });
});

describe('scaling to another support', () => {
  const large: SupportSize = { ...board, widthMm: 600, heightMm: 800 };

  it('keeps the film, the proportions and the passes for each area', () => {
    const plan = lay('center-bloom');
    const scaled = scalePlan(plan, board, large);
    expect(scaled.areaRatio).toBe(4);
    expect(scaled.plan.stacks[0]!.at).toEqual({ x: 300, y: 400 });
    expect(scaled.plan.stacks[0]!.footprintMm).toBeCloseTo(2 * plan.stacks[0]!.footprintMm, 9);
    expect(scaled.plan.passes).toHaveLength(4 * plan.passes.length);
    expect(planSchema.safeParse(scaled.plan).error).toBeUndefined();
    expect(new Set(scaled.plan.passes.map((pass) => pass.id)).size).toBe(scaled.plan.passes.length);
    const perArea = (of: typeof plan, support: SupportSize) =>
      of.stacks[0]!.layers.reduce((sum, layer) => sum + (layer.massG ?? 0), 0) / paintedArea(support).faceCm2;
    expect(perArea(scaled.plan, large)).toBeCloseTo(perArea(plan, board), 12);
    expect(scaled.notes.join(' ')).toMatch(/breath reaches no further.*2\.0 times as long/);
  });

  it('to the same support changes nothing and has nothing to say', () => {
    const plan = lay('diagonal');
    expect(scalePlan(plan, board, board)).toEqual({ plan, areaRatio: 1, notes: [] });
  });

  it('down to a tile leaves passes out and says that the shape is another', () => {
    const tile: SupportSize = { ...board, widthMm: 100, heightMm: 100, sideDepthMm: 0 };
    const scaled = scalePlan(lay('center-bloom'), board, tile);
    expect(scaled.plan.passes).toHaveLength(1);
    expect(scaled.notes.join(' ')).toMatch(/another shape/);
  });
});

it('an empty plan is a plan', () => {
  expect(planSchema.parse(EMPTY_PLAN)).toEqual(EMPTY_PLAN);
});
