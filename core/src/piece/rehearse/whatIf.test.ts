import { paint } from '../../../testing/plan.ts';
import { EMPTY_PLAN, type Plan } from '../plan/index.ts';
import { isPlanned, varied, WHAT_IF_CAUSES, whatIfCauses, whatIfRuns, whatIfValues } from './index.ts';

const paints = [
  paint('base', { role: 'base' }),
  paint('rust'),
  paint('rain'),
  paint('white', { role: 'activator', viscosityPaS: 0.8, doseFactor: 1 }),
];
const plan: Plan = {
  ...EMPTY_PLAN,
  base: {
    ...{ pattern: 'one', areas: [{ cupId: 'base', share: 1 }], seam: null },
    film: { kind: 'run-off', tiltDeg: 20, seconds: 40 },
  },
  stacks: [
    {
      ...{ id: 's', at: { x: 100, y: 100 }, footprintMm: 100 },
      layers: ['rust', 'rain', 'white'].map((cupId) => ({ id: cupId, cupId, massG: 3 })),
    },
  ],
  passes: [
    {
      ...{ id: 'p', tool: 'mouth', blowerId: null, setting: 'soft', at: { x: 100, y: 90 } },
      ...{ directionDeg: 0, distanceMm: 100, slantDeg: 25, seconds: 1 },
      end: { distanceMm: 150, setting: 'strong' },
    },
  ],
};
const given = { plan, paints };

it('one cause gives its values, two crossed at most twelve runs, each of them another', () => {
  for (const first of WHAT_IF_CAUSES) {
    const values = whatIfValues(first);
    expect(whatIfRuns(given, [first])).toHaveLength(values.length);
    for (const second of WHAT_IF_CAUSES.filter((each) => each !== first)) {
      const runs = whatIfRuns(given, [first, second]);
      expect(runs.length).toBeLessThanOrEqual(12);
      expect(new Set(runs.map((run) => JSON.stringify(run.values))).size).toBe(runs.length);
    }
  }
});

it('what is as planned leaves the plan as it is', () => {
  for (const cause of WHAT_IF_CAUSES.filter((each) => whatIfValues(each).includes(1) && each !== 'order')) {
    expect(varied(given, cause, 1)).toEqual(given);
  }
  expect(varied(given, 'order', 0).plan).toBe(plan);
  expect(varied(given, 'slant', 25).plan).toEqual(plan);
});

it('changes what its name says, and nothing else', () => {
  expect(varied(given, 'distance', 1.6).plan.passes[0]).toMatchObject({
    distanceMm: 160,
    end: { distanceMm: 240, setting: 'strong' },
  });
  expect(varied(given, 'order', 1).plan.stacks[0]!.layers.map(({ cupId }) => cupId)).toEqual([
    'rain',
    'rust',
    'white',
  ]);
  // Jeffreys: twice the film runs off in a quarter of the time.
  expect(varied(given, 'base-film', 2).plan.base!.film).toMatchObject({ seconds: 10 });
  expect(varied(given, 'activator-thickness', 2).paints[3]!.viscosityPaS).toBeCloseTo(1.6, 9);
  expect(varied(given, 'activator-thickness', 2).plan).toBe(plan);
  expect(isPlanned('dose')).toBe(false);
  expect(isPlanned('spin')).toBe(true);
});

it('offers only causes that the plan has', () => {
  expect(whatIfCauses(given)).toEqual(WHAT_IF_CAUSES);
  expect(whatIfCauses({ plan: { ...plan, base: null, passes: [], stacks: [] }, paints })).toEqual([]);
});
