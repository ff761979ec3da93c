import { cupState, type CupIngredient } from './cup.ts';
import { waterVerdict } from './water.ts';

const ingredient = (
  id: string,
  role: CupIngredient['role'],
  kind: CupIngredient['material']['kind'],
  targetMg: number,
  viscosityPaS: number,
  viscosityTrust: 'typical' | 'measured' = 'typical',
): CupIngredient => ({
  id,
  role,
  targetMg,
  material: { kind, densityGPerMl: 1.1, viscosityPaS, viscosityTrust },
});

const ingredients = [
  ingredient('medium', 'medium', 'flow-conditioner', 30_000, 1.2),
  ingredient('paint', 'paint', 'artist-tube', 15_000, 45),
  ingredient('water', 'water', 'water', 11_250, 1.002e-3),
];

const add = (ingredientId: string, mg: number) => ({ ingredientId, mg });

it('before weighing in, a cup is described by its plan', () => {
  const state = cupState({ ingredients, additions: [] });
  expect(state).toMatchObject({
    phase: 'planned',
    targetMg: 56_250,
    actualMg: 0,
    leftMg: 0,
    parts: [2, 1, 0.75],
  });
  expect(state.properties.viscosityPaS).toBeCloseTo(0.764, 3);
  expect(state.properties.waterFraction).toBeCloseTo(0.2, 12);
});

it('while weighing in it still shows the plan, afterwards what really went in', () => {
  const half = cupState({ ingredients, additions: [add('medium', 15_000)] });
  expect(half).toMatchObject({ phase: 'weighing', actualMg: 15_000, parts: [2, 1, 0.75] });
  const done = cupState({
    ingredients,
    additions: [add('medium', 15_000), add('paint', 15_000), add('medium', 15_000), add('water', 15_000)],
  });
  expect(done).toMatchObject({ phase: 'mixed', actualMg: 60_000, parts: [2, 1, 1] });
  expect(done.properties.viscosityPaS).toBeCloseTo(0.505, 3);
});

it('says of each ingredient what is still to come; close enough is all of it', () => {
  const started = cupState({ ingredients, additions: [add('medium', 29_000), add('paint', 9_000)] });
  expect(started).toMatchObject({ phase: 'weighing', toComeMg: [0, 6_000, 11_250] });
});

it('a cup whose missing water is left out is mixed of what is in it', () => {
  const without = ingredients.map((each) => (each.id === 'water' ? { ...each, targetMg: 0 } : each));
  const state = cupState({ ingredients: without, additions: [add('medium', 30_000), add('paint', 15_000)] });
  expect(state).toMatchObject({ phase: 'mixed', toComeMg: [0, 0, 0], actualMg: 45_000 });
  expect(state.properties.waterFraction).toBe(0);
});

it('what was laid down is no longer in the cup', () => {
  const additions = ingredients.map((each) => add(each.id, each.targetMg));
  expect(cupState({ ingredients, additions }, 50_000).leftMg).toBe(6_250);
  expect(cupState({ ingredients, additions }, 60_000).leftMg).toBe(0);
});

it('is trusted as measured only when all of it but water was measured', () => {
  const measured = ingredients.map((each) => ({
    ...each,
    material: { ...each.material, viscosityTrust: 'measured' as const },
  }));
  expect(cupState({ ingredients, additions: [] }).trust).toBe('typical');
  expect(cupState({ ingredients: measured, additions: [] }).trust).toBe('measured');
  expect(cupState({ ingredients: measured, additions: [] }).spreadLn).toBeLessThan(
    cupState({ ingredients, additions: [] }).spreadLn,
  );
});

it('a limit found for this very paint replaces the usual one', () => {
  expect(waterVerdict(0.35, 'artist-tube', 0.4).level).toBe('fine');
  expect(waterVerdict(0.45, 'artist-tube', 0.4).level).toBe('caution');
});

describe('water limits (common practice, no published source)', () => {
  it.each([
    [0.2, 'artist-tube', 'fine'],
    [0.3, 'artist-tube', 'fine'],
    [0.31, 'artist-tube', 'caution'],
    [0.51, 'artist-tube', 'stop'],
    [0.21, 'craft', 'caution'],
    [0.31, 'craft', 'stop'],
    [0.4, null, 'caution'],
  ] as const)('%f in %s is %s', (share, kind, level) => {
    expect(waterVerdict(share, kind).level).toBe(level);
  });
});
