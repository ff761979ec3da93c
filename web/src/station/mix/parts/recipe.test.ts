import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { FILL_SHARE, findSchool, SCHOOLS } from '@icy-ribbon/core/paint/recipe';
import { cupPlanOf } from './cupPlan.ts';
import { copyOf } from '#store/recipes.ts';
import { emptyRecipe, sourceKey, sourceOf } from './recipeDraft.ts';
import { partsInWords, ratioWords, sourceWords } from '#words/recipe.ts';

const school = (id: string) => findSchool(id)!;

describe('recipes in words', () => {
  it('parts by weight as a ratio, measures with their units', () => {
    expect(ratioWords(school('D2').parts)).toBe('2\u00a0:\u00a01\u00a0:\u00a00.75');
    expect(ratioWords(school('D8').parts)).toBe('2 tbsp : 1 tbsp : 30 drop');
  });

  it('names what goes in, recipes inside included', () => {
    expect(partsInWords(school('B1').parts, findSchool)).toBe('2 bloom medium, 1 the paint');
    expect(partsInWords(school('A3').parts, findSchool)).toBe(
      '2.5 cell-forming conditioner, 0.5 white tube paint, 0.5 the paint',
    );
    expect(sourceWords({ kind: 'recipe', recipe: 'lost' }, findSchool)).toBe('a recipe that is gone');
  });
});

describe('a recipe of one’s own', () => {
  it('begins as a copy that shares nothing with its original', () => {
    const copy = copyOf(school('D1'));
    expect(copy).toMatchObject({
      name: 'Conditioner, water to thin, mine',
      thinning: { with: 'water', to: 'fading' },
    });
    copy.parts[0]!.amount = 9;
    expect(school('D1').parts[0]?.amount).toBe(2);
  });

  it('begins empty with something to change', () => {
    expect(emptyRecipe().parts).toHaveLength(3);
    expect(emptyRecipe()).not.toBe(emptyRecipe());
  });

  it('every source survives the drop-down list', () => {
    const sources = SCHOOLS.flatMap((each) => each.parts.map((part) => part.of));
    for (const source of sources) expect(sourceOf(sourceKey(source))).toEqual(source);
  });
});

describe('how much to mix', () => {
  const paint = { id: 'p', kind: 'artist-tube', finish: 'plain', densityGPerMl: 1.2 } as ShelvedMaterial;
  const conditioner = { id: 'c', kind: 'flow-conditioner', densityGPerMl: 1 } as ShelvedMaterial;
  const plan = (shelf: readonly ShelvedMaterial[]) =>
    cupPlanOf(school('D2'), null, paint, shelf, findSchool)!;

  it('fills a vessel by the densities that are on the shelf', () => {
    const totalMg = plan([conditioner]).totalMgFor({ kind: 'vessel', capacityMl: 60 });
    const mlPerG = 2 / 3.75 / 1 + 1 / 3.75 / 1.2 + 0.75 / 3.75 / 0.9982;
    expect(totalMg / 1000).toBeCloseTo((FILL_SHARE * 60) / mlPerG, 2);
  });

  it('uses typical densities for what the shelf lacks', () => {
    expect(plan([]).densityGPerMl).toBeGreaterThan(1);
  });

  it('uses up the paint that is left', () => {
    const { paintIndex, totalMgFor } = plan([]);
    expect(totalMgFor({ kind: 'ingredient', index: paintIndex, massG: 15 })).toBe(56_250);
    expect(() => totalMgFor({ kind: 'vessel', capacityMl: 0 })).toThrow(
      expect.objectContaining({ field: 'capacityMl' }),
    );
  });

  it('is not there while a recipe cannot be opened up', () => {
    const lost = {
      ...school('B1'),
      parts: [{ of: { kind: 'recipe', recipe: 'lost' }, amount: 1, unit: 'part' }],
    } as never;
    expect(cupPlanOf(lost, null, paint, [], findSchool)).toBeUndefined();
  });

  it('takes the metallic parts for a metallic paint', () => {
    const metallic = { ...paint, finish: 'metallic' } as ShelvedMaterial;
    const metal = cupPlanOf(school('D2'), null, metallic, [], findSchool)!;
    expect(metal.totalMgFor({ kind: 'ingredient', index: metal.paintIndex, massG: 15 })).toBe(60_000);
  });
});
