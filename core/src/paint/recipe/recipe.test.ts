import fc from 'fast-check';
import { materialKind, type MaterialKind } from '../material/index.ts';
import { mixProperties } from '../mix/properties.ts';
import { stageOf } from '../stage/index.ts';
import {
  batchesOf,
  expand,
  FILL_SHARE,
  findSchool,
  of,
  paint,
  partsFor,
  portion,
  recipe,
  recipesFor,
  refusal,
  SCHOOLS,
  totalMassG,
  type ExpandContext,
  type IngredientSource,
  type Recipe,
  type RecipePart,
} from './index.ts';

const context = (paintKind: MaterialKind = 'artist-tube', more: readonly Recipe[] = []): ExpandContext => ({
  findRecipe: (id) => more.find((each) => each.id === id) ?? findSchool(id),
  densityOf: (source) => materialKind(kindOf(source, paintKind)).densityGPerMl,
});

const kindOf = (source: IngredientSource, paintKind: MaterialKind): MaterialKind =>
  source.kind === 'material' ? source.material : source.kind === 'white' ? 'artist-tube' : paintKind;

const nameOf = (source: IngredientSource) => (source.kind === 'material' ? source.material : source.kind);

const grams = (parts: readonly RecipePart[], totalMg: number, paintKind?: MaterialKind) => {
  const expanded = expand(parts, context(paintKind));
  const mg = portion(expanded, totalMg);
  return Object.fromEntries(expanded.map((part, index) => [nameOf(part.of), mg[index]! / 1000]));
};

const school = (id: string) => findSchool(id)!;

describe('the schools of mixing (common practice, no published source)', () => {
  it('all of them ship', () => {
    const ids = 'D1 D2 D3 D4 D5 D6 D7 D8 S1 B1 B2 B3 B4 B5 B6 P1 P2 P3 A1 A2 A3 A4 A5'.split(' ');
    expect(SCHOOLS.map((each) => each.id)).toEqual(expect.arrayContaining(ids));
  });

  it('D2: 56.25 g are 30 g conditioner, 15 g paint and 11.25 g water; metallics take 1 part of water', () => {
    expect(grams(school('D2').parts, 56_250)).toEqual({ 'flow-conditioner': 30, paint: 15, water: 11.25 });
    const metallic = partsFor(school('D2'), 'pearl');
    expect(grams(metallic, 60_000)).toEqual({ 'flow-conditioner': 30, paint: 15, water: 15 });
  });

  it('D3: half, 1 and 1.5 parts of 14 : 1 weak water to 3 parts of mix give thick, medium and thin', () => {
    const thin = grams(partsFor(school('D3'), 'plain', 'thin'), 45_000);
    expect(thin.water).toBeCloseTo(14, 3);
    expect(thin['flow-conditioner']).toBeCloseTo(21, 3);
    const viscosity = (variant: string | null) =>
      mixProperties(
        expand(partsFor(school('D3'), 'plain', variant), context('student-tube')).map((part) => {
          const kind = materialKind(kindOf(part.of, 'student-tube'));
          return { massG: part.share, viscosityPaS: kind.viscosityPaS, densityGPerMl: kind.densityGPerMl };
        }),
      ).viscosityPaS;
    expect(viscosity('thick')).toBeCloseTo(1.17, 2);
    expect(viscosity(null)).toBeCloseTo(0.51, 2);
    expect(viscosity('thin')).toBeCloseTo(0.27, 2);
    expect(
      [viscosity('thick'), viscosity(null), viscosity('thin')].map((each) => stageOf(each).name),
    ).toEqual(['trace', 'fading', 'gone']);
  });

  it.each([
    ['D1', null, 'student-tube', 3.5, 'standing'],
    ['D2', null, 'artist-tube', 0.76, 'fading'],
    ['D2', 'metallics', 'artist-tube', 0.5, 'fading'],
    ['B1', null, 'fluid', 2.8, 'standing'],
    ['B3', null, 'soft-body', 0.93, 'trace'],
    ['A1', null, 'artist-tube', 1.18, 'trace'],
    ['A2', null, 'artist-tube', 0.92, 'trace'],
  ] as const)(
    '%s %s of %s paint comes out at %f Pa·s, %s, as artists say',
    (id, variant, kind, paS, stage) => {
      const found = mixProperties(
        expand(partsFor(school(id), 'plain', variant), context(kind)).map((part) => {
          const { viscosityPaS, densityGPerMl } = materialKind(kindOf(part.of, kind));
          return { massG: part.share, viscosityPaS, densityGPerMl };
        }),
      ).viscosityPaS;
      expect(Math.abs(found / paS - 1)).toBeLessThan(0.02);
      expect(stageOf(found).name).toBe(stage);
    },
  );

  it.each([
    [2.4, 1.9, 'standing'],
    [1, 0.21, 'gone'],
  ])('D4, tube paint to water %f : 1, comes out at %f Pa·s, %s', (parts, paS, stage) => {
    const part = (kind: MaterialKind, massG: number) => ({ massG, ...materialKind(kind) });
    const found = mixProperties([part('artist-tube', parts), part('water', 1)]).viscosityPaS;
    expect(Math.abs(found / paS - 1)).toBeLessThan(0.03);
    expect(stageOf(found).name).toBe(stage);
  });

  it('D4 rests 24 h and is never made from craft paint', () => {
    expect(school('D4').restHours).toBe(24);
    expect(refusal(school('D4'), 'craft')).toMatch(/tube paint only/);
    expect(refusal(school('D4'), 'artist-tube')).toBeUndefined();
  });

  it('D8: 30 drops are 1.5 ml beside 2 and 1 tablespoons', () => {
    const parts = grams(school('D8').parts, 1_000_000, 'craft');
    const waterMl = parts.water! / materialKind('water').densityGPerMl;
    const paintMl = parts.paint! / materialKind('craft').densityGPerMl;
    expect(paintMl / waterMl).toBeCloseTo(14.78676478125 / 1.5, 3);
  });

  it('B1: a 60 g bottle takes 30 g base, 10 g varnish and 20 g paint', () => {
    expect(grams(school('B1').parts, 60_000)).toEqual({ 'untinted-base': 30, varnish: 10, paint: 20 });
  });

  it('B3: 0.75 + 0.75 + 0.25 + 3 x 0.15 oz make 2.2 oz', () => {
    const parts = grams(school('B3').parts, 2_200_000);
    expect(parts['untinted-base']! / 1000).toBeCloseTo(0.75, 2);
    expect(parts.paint! / 1000).toBeCloseTo(0.75, 2);
    expect(parts.varnish! / 1000).toBeCloseTo(0.25, 2);
    expect(parts.water! / 1000).toBeCloseTo(0.45, 2);
  });

  it('B5: about 1/8 tsp of powder to 15 to 17 g of medium', () => {
    const parts = grams(school('B5').parts, 1_000_000);
    const mediumG = parts['untinted-base']! + parts.varnish!;
    const powderMl = parts['mica-powder']! / materialKind('mica-powder').densityGPerMl;
    const mediumPerEighth = (mediumG / powderMl) * (4.92892159375 / 8);
    expect(mediumPerEighth).toBeGreaterThan(15);
    expect(mediumPerEighth).toBeLessThan(17);
  });

  it('P2: 600 g of wall paint and 70 g of water are 10.4 % water', () => {
    const parts = grams(school('P2').parts, 670_000);
    expect(parts).toEqual({ paint: 600, water: 70 });
    expect(parts.water! / 670).toBeCloseTo(0.104, 3);
  });

  it('A3: 1.25 of conditioner to 0.5 of paint, half of it white', () => {
    expect(grams(school('A3').parts, 1_750_000)).toEqual({
      'cell-conditioner': 1250,
      white: 250,
      paint: 250,
    });
  });

  it('every cup of both techniques has a recipe, and every recipe opens up to shares of 1', () => {
    for (const role of ['base', 'color'] as const)
      expect(recipesFor(SCHOOLS, 'dutch', role)[0]?.id).toBe('D2');
    for (const role of ['pillow', 'color', 'activator'] as const) {
      expect(recipesFor(SCHOOLS, 'bloom', role).length).toBeGreaterThan(1);
      const usual = { pillow: 'P1', color: 'B1', activator: 'A1' }[role];
      expect(recipesFor(SCHOOLS, 'bloom', role)[0]?.id).toBe(usual);
    }
    for (const each of SCHOOLS) {
      for (const parts of [each.parts, ...(each.variants ?? []).map((variant) => variant.parts)]) {
        expect(expand(parts, context()).reduce((sum, part) => sum + part.share, 0)).toBeCloseTo(1, 12);
      }
    }
  });
});

describe('recipes of one’s own are checked', () => {
  const own = (id: string, parts: readonly RecipePart[]): Recipe => ({
    id,
    name: id,
    parts,
    techniques: ['dutch'],
    cupRoles: [],
    goodFor: '',
    trouble: '',
  });
  const field = (name: string) => expect.objectContaining({ field: name });

  it('a recipe cannot contain itself, not even through another', () => {
    const a = own('a', [recipe('b', 1), paint(1)]);
    const b = own('b', [recipe('a', 1), of('water', 1)]);
    expect(() => expand(a.parts, context('artist-tube', [a, b]))).toThrow(
      /cannot contain itself: b in a in b/,
    );
  });

  it('parts that are all 0, missing, negative, or of two ways of measuring', () => {
    expect(() => expand([], context())).toThrow(field('parts'));
    expect(() => expand([paint(0)], context())).toThrow(field('parts'));
    expect(() => expand([paint(1), of('water', -1)], context())).toThrow(field('parts.1.amount'));
    expect(() => expand([paint(1), of('water', 5, 'ml')], context())).toThrow(field('parts.1.unit'));
    expect(() => expand([recipe('gone', 1)], context())).toThrow(field('parts.0.of'));
  });

  it('a spoon needs the density of what is in it', () => {
    const blind: ExpandContext = { findRecipe: findSchool, densityOf: () => undefined };
    expect(() => expand([paint(1, 'tsp'), of('water', 5, 'g')], blind)).toThrow(/density of the paint/);
  });

  it('equal ingredients are added together, through recipes too', () => {
    expect(expand([recipe('bloom-medium', 4), of('varnish', 1)], context())).toEqual([
      { of: { kind: 'material', material: 'untinted-base' }, share: expect.closeTo(0.6, 12) },
      { of: { kind: 'material', material: 'varnish' }, share: expect.closeTo(0.4, 12) },
    ]);
  });
});

describe('how much', () => {
  const parts = expand(school('B1').parts, context('fluid'));
  const densities = parts.map((part) => materialKind(kindOf(part.of, 'fluid')).densityGPerMl);

  it('fills a vessel with room to stir', () => {
    const massG = totalMassG(parts, densities, { kind: 'vessel', capacityMl: 60 });
    const volumeMl = parts.reduce((sum, part, index) => sum + (part.share * massG) / densities[index]!, 0);
    expect(volumeMl).toBeCloseTo(FILL_SHARE * 60, 9);
  });

  it('uses up what is left of one ingredient', () => {
    expect(totalMassG(parts, densities, { kind: 'ingredient', index: 2, massG: 20 })).toBeCloseTo(60, 9);
    expect(() => totalMassG(parts, densities, { kind: 'ingredient', index: 9, massG: 20 })).toThrow(
      /does not contain/,
    );
  });

  it('refuses an amount of nothing', () => {
    expect(() => totalMassG(parts, densities, { kind: 'total', massG: 0 })).toThrow(
      expect.objectContaining({ field: 'massG' }),
    );
    expect(() => portion(parts, 1.5)).toThrow(expect.objectContaining({ field: 'totalMg' }));
  });
});

it('a set of three bloom colors needs one batch of medium, enough for all', () => {
  const cups = ['Tide', 'Ember', 'Gilt'].map((name) => ({ name, recipe: school('B1'), massG: 60 }));
  const [batch, ...others] = batchesOf(cups, context());
  expect(others).toEqual([]);
  expect(batch).toMatchObject({ recipeId: 'bloom-medium', forCups: ['Tide', 'Ember', 'Gilt'] });
  expect(batch?.massG).toBeCloseTo(120, 9);
  expect(batch?.parts.map((part) => Math.round(part.massG))).toEqual([90, 30]);
  expect(batchesOf([{ name: 'Rain', recipe: school('D2'), massG: 60 }], context())).toEqual([]);
});

it('scaling any recipe keeps its ratios to the milligram', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SCHOOLS),
      fc.integer({ min: 1_000, max: 500_000 }),
      fc.integer({ min: 1, max: 10 }),
      (each, totalMg, factor) => {
        const parts = expand(each.parts, context());
        const once = portion(parts, totalMg);
        const scaled = portion(parts, totalMg * factor);
        expect(scaled.reduce((sum, mg) => sum + mg, 0)).toBe(totalMg * factor);
        scaled.forEach((mg, index) =>
          expect(Math.abs(mg - once[index]! * factor)).toBeLessThanOrEqual(factor + 1),
        );
      },
    ),
  );
});
