import fc from 'fast-check';
import { amounts, pieceFilm } from '../amount/index.ts';
import { airBounds } from '../../flow/air/index.ts';
import type { SupportSize } from '../support/index.ts';
import {
  align,
  duplicateItems,
  layOut,
  LAYOUTS,
  mirror,
  moveItems,
  placeOf,
  planSchema,
  scalePlan,
  type LayoutName,
  type Plan,
} from './index.ts';
import { counting, paint } from '../../../testing/index.ts';

const paints = [
  paint('white', { role: 'base', viscosityPaS: 0.6 }),
  paint('pillow', { role: 'pillow', viscosityPaS: 5, densityGPerMl: 1.35 }),
  paint('rust'),
  paint('rain', { densityGPerMl: 1.2 }),
  paint('net', { role: 'activator', viscosityPaS: 0.5 }),
];

const supports = fc
  .record({
    shape: fc.constantFrom('rectangle' as const, 'round' as const),
    widthMm: fc.integer({ min: 80, max: 900 }),
    heightMm: fc.integer({ min: 80, max: 900 }),
    sideDepthMm: fc.integer({ min: 0, max: 40 }),
  })
  .map((size): SupportSize => (size.shape === 'round' ? { ...size, heightMm: size.widthMm } : size));
const names = fc.constantFrom<LayoutName>(...LAYOUTS.map(({ name }) => name));
const laid = (name: LayoutName, support: SupportSize): Plan =>
  layOut(name, { support, technique: 'bloom', paints, newId: counting() });
const idsOf = (plan: Plan) => [...plan.stacks, ...plan.paths, ...plan.passes].map(({ id }) => id);

it('every layout on any support is a whole plan with ids of its own and paint for every layer', () => {
  fc.assert(
    fc.property(names, supports, (name, support) => {
      const plan = laid(name, support);
      expect(planSchema.safeParse(plan).success).toBe(true);
      const ids = idsOf(plan);
      expect(new Set(ids).size).toBe(ids.length);
      for (const { massG, volumeMl } of amounts(support, plan, paints).layers) {
        expect(massG).toBeGreaterThan(0);
        expect(volumeMl).toBeGreaterThan(0);
      }
    }),
    { numRuns: 60 },
  );
});

it('every layout of forty cups on the largest support, for any technique, can be kept', () => {
  const roles = ['base', 'pillow', 'activator', 'swipe'] as const;
  const many = [
    ...roles.map((role) => paint(role, { role })),
    ...Array.from({ length: 36 }, (_, index) => paint(`color ${index}`)),
  ];
  const support = { shape: 'rectangle' as const, widthMm: 5000, heightMm: 5000, sideDepthMm: 40 };
  const wrong = LAYOUTS.flatMap(({ name }) =>
    [many.slice(0, 5), many].flatMap((cups) => {
      const plan = layOut(name, { support, technique: 'dutch', paints: cups, count: 50, newId: counting() });
      return planSchema.safeParse(plan).error?.issues.map(({ message }) => `${name}: ${message}`) ?? [];
    }),
  );
  expect(wrong).toEqual([]);
});

it('moving, mirroring and lining up lay down just as much paint', () => {
  fc.assert(
    fc.property(names, supports, fc.integer({ min: -60, max: 60 }), (name, support, by) => {
      const plan = laid(name, support);
      const grams = (of: Plan) => amounts(support, { ...of, passes: [], base: null }, paints).total.massG;
      const ids = idsOf(plan);
      expect(grams(moveItems(plan, ids, by, -by))).toBeCloseTo(grams(plan), 9);
      expect(grams(mirror(plan, [], support, 'left-right'))).toBeCloseTo(grams(plan), 9);
      expect(grams(align(plan, ids, support, 'row'))).toBeCloseTo(grams(plan), 9);
    }),
    { numRuns: 40 },
  );
});

it('what is lined up lies on one line', () => {
  fc.assert(
    fc.property(names, supports, (name, support) => {
      const plan = laid(name, support);
      const ids = idsOf(plan);
      const lined = align(plan, ids, support, 'column');
      const xs = [...lined.stacks, ...lined.paths, ...lined.passes].map((item) => placeOf(item).x);
      for (const x of xs) expect(x).toBeCloseTo(xs[0]!, 6);
    }),
    { numRuns: 40 },
  );
});

it('a copy of everything takes twice as much paint in stacks and paths', () => {
  fc.assert(
    fc.property(names, supports, (name, support) => {
      const plan = { ...laid(name, support), base: null, passes: [] };
      const settings = { ...plan.settings, cupLossG: 0 };
      const twice = duplicateItems(plan, idsOf(plan), counting('copy')).plan;
      const grams = (of: Plan) => amounts(support, { ...of, settings }, paints).total.massG;
      expect(grams(twice)).toBeCloseTo(2 * grams(plan), 6);
    }),
    { numRuns: 40 },
  );
});

it('scaling up and down again brings back places, footprints and grams', () => {
  fc.assert(
    fc.property(names, supports, fc.double({ min: 1, max: 2.5, noNaN: true }), (name, support, times) => {
      const larger = { ...support, widthMm: support.widthMm * times, heightMm: support.heightMm * times };
      const plan = laid(name, support);
      const back = scalePlan(scalePlan(plan, support, larger).plan, larger, support).plan;
      back.stacks.forEach((stack, index) => {
        expect(stack.at.x).toBeCloseTo(plan.stacks[index]!.at.x, 6);
        expect(stack.footprintMm).toBeCloseTo(plan.stacks[index]!.footprintMm, 6);
        stack.layers.forEach((layer, at) => {
          const before = plan.stacks[index]!.layers[at]!.massG;
          if (before === null) expect(layer.massG).toBeNull();
          else expect(layer.massG).toBeCloseTo(before, 6);
        });
      });
    }),
    { numRuns: 40 },
  );
});

it('a scaled base keeps its film: the longer face runs longer', () => {
  fc.assert(
    fc.property(supports, fc.double({ min: 1, max: 2, noNaN: true }), (support, times) => {
      const larger = { ...support, widthMm: support.widthMm * times, heightMm: support.heightMm * times };
      const plan = { ...laid('diagonal', support), paths: [], passes: [] };
      const scaled = scalePlan(plan, support, larger).plan;
      const film = (on: SupportSize, of: Plan) => pieceFilm(on, of, paints)!.laidMm;
      expect(film(larger, scaled)).toBeCloseTo(film(support, plan), 9);
    }),
    { numRuns: 40 },
  );
});

it('more margin, more pieces and more reserve never take less paint', () => {
  fc.assert(
    fc.property(
      supports,
      fc.double({ min: 0, max: 4, noNaN: true }),
      fc.integer({ min: 1, max: 12 }),
      (support, margin, copies) => {
        const plan = laid('center-bloom', support);
        const grams = (settings: Partial<Plan['settings']>) =>
          amounts(support, { ...plan, settings: { ...plan.settings, ...settings } }, paints).total.massG;
        const less = grams({ marginMm: margin });
        expect(grams({ marginMm: margin + 1 })).toBeGreaterThanOrEqual(less);
        expect(grams({ marginMm: margin + 9 })).toBeGreaterThan(less);
        expect(grams({ marginMm: margin, copies: copies + 1 })).toBeGreaterThan(
          grams({ marginMm: margin, copies }),
        );
        expect(grams({ marginMm: margin, reserveShare: 0.3 })).toBeGreaterThan(
          grams({ marginMm: margin, reserveShare: 0.1 }),
        );
      },
    ),
    { numRuns: 40 },
  );
});

it('longer on the spinner never leaves more, and the film is never gone', () => {
  fc.assert(
    fc.property(
      supports,
      fc.integer({ min: 0, max: 90 }),
      fc.integer({ min: 0, max: 60 }),
      (support, rpm, seconds) => {
        const plan = laid('center-bloom', support);
        const after = (spinSeconds: number) =>
          pieceFilm(support, { ...plan, settings: { ...plan.settings, spinRpm: rpm, spinSeconds } }, paints)!
            .afterMm;
        expect(after(seconds + 5)).toBeLessThanOrEqual(after(seconds));
        expect(after(seconds + 5)).toBeGreaterThan(0);
      },
    ),
    { numRuns: 40 },
  );
});

it('thicker paint and a thinner film that shall stay let the air come nearer', () => {
  const question = {
    exitSpeedMS: 18,
    exitDiameterMm: 43,
    distanceMm: 150,
    slantDeg: 30,
    paintDensityKgM3: 1150,
    depthMm: 4,
    filmMm: 1,
  };
  const { nearestDistanceMm, steepestSlantDeg } = airBounds(question);
  expect(airBounds({ ...question, depthMm: 6 }).nearestDistanceMm).toBeLessThan(nearestDistanceMm);
  expect(airBounds({ ...question, filmMm: 0.2 }).nearestDistanceMm).toBeLessThan(nearestDistanceMm);
  expect(airBounds({ ...question, distanceMm: 400 }).steepestSlantDeg).toBeGreaterThan(steepestSlantDeg);
});
