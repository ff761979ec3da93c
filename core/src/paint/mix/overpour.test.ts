import { cupState, type CupIngredient } from './cup.ts';
import { overPour } from './overpour.ts';
import { thinningStep } from './thinning.ts';

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
    expect(after.phase).toBe('weighing');
    expect(after.actualMg).toBe(before.actualMg - 3_000);
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

describe('thinning to a stage', () => {
  const dry = [...D2.slice(0, 2), ingredient('w', 'water', 'water', 0, 1.002e-3)];
  const cup = (waterMg: number) => ({
    ingredients: dry,
    additions: [add('m', 30_000), add('p', 15_000), add('w', waterMg, '2')],
  });

  it('conditioner and paint before water want about 80 % of the way to fading', () => {
    const step = thinningStep(cup(0), cupState(cup(0)), { with: 'water', to: 'fading' })!;
    expect(step.ingredientId).toBe('w');
    expect(step.mg / step.needMg).toBeCloseTo(0.8, 3);
    expect(step.mg).toBeGreaterThan(8_000);
    expect(step.mg).toBeLessThan(14_000);
  });

  it('steps of 80 % arrive in two or three, and never thin beyond the stage', () => {
    let waterMg = 0;
    let steps = 0;
    for (; steps < 6; steps += 1) {
      const step = thinningStep(cup(waterMg), cupState(cup(waterMg)), { with: 'water', to: 'fading' });
      if (!step) break;
      waterMg += step.mg;
    }
    expect(steps).toBeLessThanOrEqual(3);
    expect(cupState(cup(waterMg)).properties.viscosityPaS).toBeGreaterThan(0.5);
  });

  it('a cup without the thinner, or already there, gets no advice', () => {
    const without = { ingredients: D2.slice(0, 2), additions: cup(0).additions };
    expect(thinningStep(without, cupState(without), { with: 'varnish', to: 'fading' })).toBeUndefined();
    expect(thinningStep(cup(0), cupState(cup(0)), { with: 'water', to: 'stacking' })).toBeUndefined();
  });
});
