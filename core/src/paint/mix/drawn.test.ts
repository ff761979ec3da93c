import { cupState, type CupRecord } from './index.ts';

const medium = (movements: CupRecord['movements'] = []): CupRecord => ({
  ingredients: [
    {
      id: 'base',
      role: 'medium',
      targetMg: 60_000,
      material: { kind: 'untinted-base', densityGPerMl: 1.12, viscosityPaS: 6, viscosityTrust: 'typical' },
    },
    {
      id: 'varnish',
      role: 'thinner',
      targetMg: 20_000,
      material: { kind: 'varnish', densityGPerMl: 1.03, viscosityPaS: 0.35, viscosityTrust: 'typical' },
    },
  ],
  additions: [
    { ingredientId: 'base', mg: 60_000, at: '1' },
    { ingredientId: 'varnish', mg: 20_000, at: '2' },
  ],
  movements,
});

it('a medium from which others were filled stays mixed and keeps its proportion', () => {
  const state = cupState(medium([{ kind: 'drawn', mg: 60_000, at: '3' }]));
  expect(state).toMatchObject({ phase: 'mixed', leftMg: 20_000, actualIngredientMg: [15_000, 5_000] });
  expect(state.properties.viscosityPaS).toBeCloseTo(cupState(medium()).properties.viscosityPaS, 9);
});

it('a share taken out before the cup is brought up again leaves it unfinished', () => {
  expect(cupState(medium([{ kind: 'taken-out', mg: 20_000, at: '3' }])).phase).toBe('weighing');
});

it('a recipe’s own water limit comes before the paint’s', () => {
  const cup = medium();
  const wet: CupRecord = {
    ...cup,
    ingredients: [
      cup.ingredients[0]!,
      {
        id: 'water',
        role: 'water',
        targetMg: 10_000,
        material: { kind: 'water', densityGPerMl: 1, viscosityPaS: 0.001, viscosityTrust: 'typical' },
      },
    ],
    additions: [],
  };
  expect(cupState(wet).water.level).toBe('fine');
  expect(cupState({ ...wet, recipe: { waterLimit: 0.1 } }).water).toMatchObject({
    level: 'caution',
    limit: 0.1,
  });
});
