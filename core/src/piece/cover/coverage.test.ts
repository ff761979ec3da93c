import fc from 'fast-check';
import { counting, paint } from '../../../testing/index.ts';
import { layOut, LAYOUTS, type PlanPaint } from '../plan/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import { coverage, oddEnds } from './index.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 300, sideDepthMm: 18 } as const;
const bloom = [
  paint('pillow', { role: 'pillow', viscosityPaS: 5, densityGPerMl: 1.3 }),
  paint('rust'),
  paint('rain'),
  paint('net', { role: 'activator', viscosityPaS: 0.5 }),
];
const flat: PlanPaint[] = [paint('white', { role: 'base' }), paint('rust'), paint('rain'), paint('moss')];
const paintsOf = (technique: Technique) =>
  technique === 'bloom' ? bloom : technique === 'swipe' ? [...flat, paint('over', { role: 'swipe' })] : flat;

const every = LAYOUTS.flatMap(({ name, techniques }) =>
  techniques.map((technique) => [name, technique as Technique] as const),
);

it.each(every)('%s of a %s covers something, and no more than all', (name, technique) => {
  const paints = paintsOf(technique);
  const plan = layOut(name, { support, technique, paints, newId: counting() });
  const found = coverage(support, { plan, paints, blowers: [] })!;
  expect(found.covered).toBeGreaterThan(0.03);
  expect(found.high).toBeLessThanOrEqual(1);
  expect(found.low).toBeLessThanOrEqual(found.covered);
});

it('without a color there is nothing to cover with', () => {
  const plan = layOut('center-bloom', { support, technique: 'bloom', paints: [], newId: counting() });
  expect(coverage(support, { plan: { ...plan, stacks: [] }, paints: [], blowers: [] })).toBeNull();
});

it('longer air and a longer spin never cover less', () => {
  const plan = layOut('center-bloom', { support, technique: 'bloom', paints: bloom, newId: counting() });
  const covered = (airTimes: number, spinSeconds: number) =>
    coverage(support, {
      paints: bloom,
      blowers: [],
      plan: {
        ...plan,
        passes: plan.passes.map((pass) => ({ ...pass, seconds: pass.seconds * airTimes })),
        settings: { ...plan.settings, spinSeconds },
      },
    })!.covered;
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
      (air, spin) => {
        expect(covered(air * 1.5, spin)).toBeGreaterThanOrEqual(covered(air, spin) - 1e-9);
        expect(covered(air, spin + 10)).toBeGreaterThanOrEqual(covered(air, spin) - 1e-9);
      },
    ),
    { numRuns: 20 },
  );
});

describe('petal ends (common practice, no published source)', () => {
  const petal = (x: number, y: number) => ({
    passId: 'p',
    from: { x: 150, y: 150 },
    tip: { x, y },
    halfWidthMm: 20,
  });

  it('one that stops just before the edge falls short, one just over it is a lone drip', () => {
    expect(oddEnds(support, [petal(150, 5)])).toEqual([{ passId: 'p', kind: 'falls-short', mm: 5 }]);
    expect(oddEnds(support, [petal(150, -8)])).toEqual([{ passId: 'p', kind: 'lone-drip', mm: 8 }]);
  });

  it('one well inside, and one that is pushed well over, are meant', () => {
    expect(oddEnds(support, [petal(150, 60), petal(150, -40)])).toEqual([]);
    const round = { shape: 'round', widthMm: 300, heightMm: 300, sideDepthMm: 18 } as const;
    expect(oddEnds(round, [petal(150, 60), petal(256, 44)])).toEqual([
      { passId: 'p', kind: 'falls-short', mm: expect.closeTo(0.1, 0) as number },
    ]);
  });
});
