import fc from 'fast-check';
import { STIRRING_ORDERS, stepProgress, WATER_AT_ONCE_MG, weighingSteps } from './steps.ts';

const dutch = [
  { id: 'conditioner', role: 'medium', targetMg: 30_000 },
  { id: 'rust', role: 'paint', targetMg: 15_000 },
  { id: 'water', role: 'water', targetMg: 11_250 },
] as const;

const short = (steps: readonly { ingredientId: string; mg: number; portion: string }[]) =>
  steps.map(({ ingredientId, mg, portion }) => `${portion} ${ingredientId} ${mg}`);

describe('the order at the scale (common practice)', () => {
  it('half the medium, the paint, the rest of the medium, then water, stirred in by thirds', () => {
    expect(short(weighingSteps(dutch))).toEqual([
      'half conditioner 15000',
      'all rust 15000',
      'rest conditioner 15000',
      'thirds water 11250',
    ]);
  });

  it('all of the medium first is one step less, and so is paint first', () => {
    expect(short(weighingSteps(dutch, 'medium-first'))).toEqual([
      'all conditioner 30000',
      'all rust 15000',
      'thirds water 11250',
    ]);
    expect(short(weighingSteps(dutch, 'paint-first'))[0]).toBe('all rust 15000');
  });

  it('a varnish goes in after the medium, and a cup of paint alone is one step', () => {
    const bloom = [
      { id: 'base', role: 'medium', targetMg: 30_001 },
      { id: 'varnish', role: 'thinner', targetMg: 10_000 },
      { id: 'color', role: 'paint', targetMg: 20_000 },
    ] as const;
    expect(short(weighingSteps(bloom))).toEqual([
      'half base 15000',
      'all color 20000',
      'rest base 15001',
      'all varnish 10000',
    ]);
    expect(short(weighingSteps([{ id: 'wall', role: 'paint', targetMg: 500 }]))).toEqual(['all wall 500']);
  });

  it('in any order the steps add up to each target, and much water goes in by thirds', () => {
    const mg = fc.integer({ min: 1, max: 400_000 });
    fc.assert(
      fc.property(mg, mg, mg, fc.constantFrom(...STIRRING_ORDERS), (medium, paint, water, order) => {
        const cup = [
          { id: 'm', role: 'medium', targetMg: medium },
          { id: 'p', role: 'paint', targetMg: paint },
          { id: 'w', role: 'water', targetMg: water },
        ] as const;
        const steps = weighingSteps(cup, order);
        for (const each of cup) {
          const own = steps.filter((step) => step.ingredientId === each.id);
          expect(own.reduce((sum, step) => sum + step.mg, 0)).toBe(each.targetMg);
        }
        const portions = steps.filter((step) => step.ingredientId === 'w').map(({ portion }) => portion);
        expect(portions).toEqual([water > WATER_AT_ONCE_MG ? 'thirds' : 'all']);
      }),
    );
  });
});

describe('progress at the scale', () => {
  const undone = (additions: readonly { ingredientId: string; mg: number }[]) =>
    short(stepProgress(dutch, additions).filter((step) => !step.done));

  it('before anything is in, every step asks for its own share', () => {
    expect(undone([])).toEqual(short(weighingSteps(dutch)));
  });

  it('each addition ticks off one step of its ingredient', () => {
    expect(undone([{ ingredientId: 'conditioner', mg: 15_000 }])[0]).toBe('all rust 15000');
  });

  it('the last step of an ingredient makes up for an earlier one', () => {
    const steps = undone([
      { ingredientId: 'conditioner', mg: 14_200 },
      { ingredientId: 'rust', mg: 15_100 },
    ]);
    expect(steps[0]).toBe('rest conditioner 15800');
  });

  it('the last step goes on asking until all of it is in', () => {
    expect(undone([{ ingredientId: 'water', mg: 4_000 }])).toContain('thirds water 7250');
    const late = undone([
      { ingredientId: 'conditioner', mg: 15_000 },
      { ingredientId: 'conditioner', mg: 10_000 },
    ]);
    expect(late).toContain('rest conditioner 5000');
  });

  it('a whole ingredient typed at once ticks off all its steps', () => {
    expect(undone([{ ingredientId: 'water', mg: 11_200 }])).not.toContain('thirds water 11250');
  });

  it('an ingredient that was over-poured in one go asks for no more', () => {
    expect(undone([{ ingredientId: 'conditioner', mg: 31_000 }])[0]).toBe('all rust 15000');
  });

  it('nothing is left when everything is in', () => {
    expect(undone(dutch.map((each) => ({ ingredientId: each.id, mg: each.targetMg })))).toEqual([]);
  });
});
