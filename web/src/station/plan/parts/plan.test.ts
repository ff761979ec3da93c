import type { PlannedCup, ShelvedMaterial } from '@icy-ribbon/contract';
import { findSchool } from '@icy-ribbon/core/paint/recipe';
import { EMPTY_PLAN, planSchema, type PlanPaint } from '@icy-ribbon/core/piece/plan';
import { centsWords, planCost } from './cost.ts';
import { costPerG, plannedPaint } from '#store/plan/plannedPaint.ts';
import { putDown, type Placing } from './placing.ts';

const material = (id: string, kind: string, changes: object = {}) =>
  ({
    id,
    name: id,
    kind,
    colorHex: '#17656b',
    finish: 'plain',
    opacity: 'opaque',
    pigment: null,
    densityGPerMl: 1.1,
    viscosityPaS: 45,
    priceCents: 800,
    packMg: 100_000,
    ...changes,
  }) as unknown as ShelvedMaterial;

const shelf = [
  material('teal', 'artist-tube'),
  material('conditioner', 'flow-conditioner', {
    densityGPerMl: 1.03,
    viscosityPaS: 1.2,
    priceCents: 1000,
    packMg: 1_000_000,
  }),
  material('water', 'water', {
    densityGPerMl: 0.9982,
    viscosityPaS: 0.001002,
    priceCents: null,
    packMg: null,
  }),
];
const cup: PlannedCup = {
  id: '8a1f7c52-54c7-4f57-9d2c-3b0a2b8f6c11',
  name: 'teal',
  role: 'color',
  recipeId: 'D2',
  variant: null,
  materialId: 'teal',
  blend: null,
};

const plainly = (cents: number) => (cents / 100).toFixed(2);

describe('a cup that is only planned', () => {
  it('is as thick and as heavy as its recipe makes it: D2 is 0.76 Pa·s (common practice)', () => {
    const paint = plannedPaint(cup, shelf, findSchool)!;
    expect(paint.viscosityPaS).toBeCloseTo(0.76, 1);
    expect(paint).toMatchObject({ id: cup.id, role: 'color', colorHex: '#17656b', opacity: 'opaque' });
  });

  it('costs what its paint and medium cost; water is free', () => {
    // 2 : 1 : 0.75 parts: a gram holds 1/3.75 g paint at 8 cents and 2/3.75 g medium at 1 cent.
    expect(plannedPaint(cup, shelf, findSchool)!.costPerG).toBeCloseTo((8 + 2 * 1) / 3.75, 9);
  });

  it('is none while its paint or recipe is not there', () => {
    expect(plannedPaint({ ...cup, materialId: null }, shelf, findSchool)).toBeUndefined();
    expect(plannedPaint({ ...cup, recipeId: 'X9' }, shelf, findSchool)).toBeUndefined();
  });
});

describe('what a plan costs', () => {
  const amounts = {
    layers: [],
    total: { massG: 30, volumeMl: 27 },
    paints: [
      { cupId: 'a', massG: 20 },
      { cupId: 'b', massG: 10 },
    ],
  } as never;

  it('is the grams times what a gram costs; paints without a price are counted', () => {
    const cost = planCost(
      amounts,
      new Map([
        ['a', 2.5],
        ['b', null],
      ]),
    );
    expect(cost).toEqual({ cents: 50, unknown: 1 });
    expect(centsWords(cost, plainly)).toBe('costs 0.50, 1 without a price');
    expect(centsWords(planCost(amounts, new Map()), plainly)).toBe('no prices on the shelf');
  });

  it('a mix with one unpriced part has no price', () => {
    const part = (priceCents: number | null) => ({
      mg: 1000,
      material: { kind: 'varnish', priceCents, packMg: 1000 },
    });
    expect(costPerG([part(5), part(null)])).toBeNull();
    expect(costPerG([part(5), part(15)])).toBe(10);
    expect(costPerG([])).toBeNull();
  });
});

describe('putting something down', () => {
  const paints = ['base', 'pillow', 'color', 'activator'].map((role): PlanPaint => ({
    id: role,
    name: role,
    role: role as PlanPaint['role'],
    colorHex: '#888888',
    viscosityPaS: 2,
    densityGPerMl: 1.1,
    opacity: 'opaque',
    finish: 'plain',
  }));
  let count = 0;
  const parts = {
    support: { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 0 } as const,
    technique: 'bloom' as const,
    paints,
    newId: () => `i${(count += 1)}`,
  };

  it.each<Placing>(['stack', 'ribbon', 'crescent', 'flood', 'pass'])(
    'a %s is a whole part of a plan',
    (kind) => {
      const { plan, id } = putDown(EMPTY_PLAN, kind, { x: 150, y: 200 }, parts);
      expect(planSchema.safeParse(plan).success).toBe(true);
      expect([...plan.stacks, ...plan.paths, ...plan.passes].map((item) => item.id)).toEqual([id]);
    },
  );

  it('a pass blows outward from where it is put, like the one before it', () => {
    const first = putDown(EMPTY_PLAN, 'pass', { x: 250, y: 200 }, parts).plan;
    expect(first.passes[0]!.directionDeg).toBe(90);
    const mine = { ...first.passes[0]!, distanceMm: 77 };
    const second = putDown({ ...first, passes: [mine] }, 'pass', { x: 150, y: 350 }, parts).plan;
    expect(second.passes[1]).toMatchObject({ directionDeg: 180, distanceMm: 77 });
  });

  it('a flood lies under what is there already', () => {
    const ribbon = putDown(EMPTY_PLAN, 'ribbon', { x: 150, y: 200 }, parts).plan;
    const flooded = putDown(ribbon, 'flood', { x: 150, y: 200 }, parts).plan;
    expect(flooded.paths.map((path) => path.kind)).toEqual(['flood', 'ribbon']);
  });
});
