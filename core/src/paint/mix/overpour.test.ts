import { cupState, dryableMg, type CupIngredient } from './cup.ts';
import { overPour } from './overpour.ts';

const ingredient = (
  id: string,
  role: CupIngredient['role'],
  kind: CupIngredient['material']['kind'],
  targetMg: number,
  viscosityPaS: number,
): CupIngredient => ({
  id,
  role,
  targetMg,
  material: { kind, densityGPerMl: 1, viscosityPaS, viscosityTrust: 'typical' },
});

const D2 = [
  ingredient('m', 'medium', 'flow-conditioner', 30_000, 1.2),
  ingredient('p', 'paint', 'artist-tube', 15_000, 45),
  ingredient('w', 'water', 'water', 11_250, 1.002e-3),
];
const add = (ingredientId: string, mg: number, at = '1') => ({ ingredientId, mg, at });
const look = (additions: readonly { ingredientId: string; mg: number; at: string }[]) => {
  const cup = { ingredients: D2, additions };
  return { cup, state: cupState(cup) };
};

describe('an over-poured cup', () => {
  it('nothing is said while the cup is within 3 %', () => {
    const { cup, state } = look([add('m', 30_500), add('p', 15_200)]);
    expect(overPour(cup, state)).toBeUndefined();
  });

  it('20 % too much paint: everything else comes up to it, as far as the tolerance asks', () => {
    const { cup, state } = look([add('m', 30_000), add('p', 18_000)]);
    const over = overPour(cup, state)!;
    expect(over).toMatchObject({ ingredientIndex: 1, overMg: 3_000 });
    const [medium, paint, water] = over.bringUp.targetsMg as [number, number, number];
    expect(paint).toBe(18_000);
    expect(medium / paint).toBeGreaterThan(1.9);
    expect(water / paint).toBeGreaterThan(0.71);
    expect(over.bringUp.addMg[0]).toBeGreaterThan(4_500);
    expect(over.bringUp.totalMg).toBe(medium + paint + water);
  });

  it('keeping it accepts the paint and leaves the rest as planned', () => {
    const { cup, state } = look([add('m', 30_000), add('p', 18_000)]);
    expect(overPour(cup, state)!.keep.targetsMg).toEqual([30_000, 18_000, 11_250]);
  });

  it('taking a share out of the stirred cup ends at the total that was planned', () => {
    const { cup, state } = look([add('m', 30_000), add('p', 18_000)]);
    const { mg, targetsMg } = overPour(cup, state)!.takeOut;
    expect(mg).toBeGreaterThan(4_000);
    expect(targetsMg.reduce((sum, each) => sum + each, 0)).toBeCloseTo(56_250, -2);
    const after = cupState({ ...cup, movements: [{ kind: 'taken-out', mg, at: '2' }] });
    targetsMg.forEach((target, index) => {
      expect(target).toBeGreaterThanOrEqual((after.actualIngredientMg[index] ?? 0) - 2);
    });
  });
});

describe('what leaves a cup', () => {
  const full = [add('m', 30_000), add('p', 15_000), add('w', 11_250)];

  it('a share taken out takes of everything alike, so the parts stay', () => {
    const state = cupState({
      ingredients: D2,
      additions: full,
      movements: [{ kind: 'taken-out', mg: 28_125, at: '2' }],
    });
    expect(state.actualIngredientMg).toEqual([15_000, 7_500, 5_625]);
  });

  it('a loss is water: the cup thickens and asks for a top-up', () => {
    const before = cupState({ ingredients: D2, additions: full });
    const after = cupState({
      ingredients: D2,
      additions: full,
      movements: [{ kind: 'loss', mg: 3_000, at: '2' }],
    });
    expect(after.actualIngredientMg[2]).toBe(8_250);
    // It dried, it was not poured back: what it is now is what it holds, not what its recipe aimed at.
    expect(after.phase).toBe('mixed');
    expect(after.properties.viscosityPaS).toBeGreaterThan(before.properties.viscosityPaS);
    expect(after.actualMg).toBe(before.actualMg - 3_000);
  });

  it('a loss beyond the added water is a deficit that water stirred in makes good', () => {
    const dried = { kind: 'loss', mg: 13_000, at: '2' } as const;
    const dry = cupState({ ingredients: D2, additions: full, movements: [dried] });
    expect(dry.actualIngredientMg[2]).toBe(11_250 - 13_000);
    expect(dry.actualMg).toBe(56_250 - 13_000);
    expect(dry.properties.waterFraction).toBe(0);
    const again = cupState({
      ingredients: D2,
      additions: [...full, add('w', 13_000, '3')],
      movements: [dried],
    });
    const before = cupState({ ingredients: D2, additions: full });
    expect(again.properties.viscosityPaS).toBeCloseTo(before.properties.viscosityPaS, 9);
    expect(dryableMg({ ingredients: D2, additions: full })).toBeGreaterThan(20_000);
  });

  it('a cup that was poured into others to the last drop is empty and can still be looked at', () => {
    const state = cupState({
      ingredients: D2,
      additions: full,
      movements: [{ kind: 'drawn', mg: 56_250, at: '2' }],
    });
    expect(state).toMatchObject({ phase: 'mixed', leftMg: 0, actualMg: 0 });
    expect(state.properties.viscosityPaS).toBeGreaterThan(0);
  });

  it('what is poured in later is not touched by what left before', () => {
    const state = cupState({
      ingredients: D2,
      additions: [add('m', 30_000), add('p', 15_000, '3')],
      movements: [{ kind: 'taken-out', mg: 15_000, at: '2' }],
    });
    expect(state.actualIngredientMg).toEqual([15_000, 15_000, 0]);
  });

  it('a cup that was thrown out is empty', () => {
    const state = cupState({
      ingredients: D2,
      additions: full,
      movements: [{ kind: 'thrown', mg: 56_250, at: '2' }],
    });
    expect(state.leftMg).toBe(0);
  });
});
