import { EMPTY_PLAN, USUAL_SETTINGS, type Plan } from '../plan/index.ts';
import { layProblem, nextStep, planOfPour, runSheet, stepStates, type LoggedEvent } from './index.ts';

const plan: Plan = {
  ...EMPTY_PLAN,
  base: {
    pattern: 'one',
    areas: [{ cupId: 'white', share: 1 }],
    seam: null,
    film: { kind: 'run-off', tiltDeg: 30, seconds: 20 },
  },
  stacks: [
    {
      id: 'pile',
      at: { x: 100, y: 80 },
      footprintMm: 120,
      layers: [
        { id: 'a', cupId: 'rust', massG: 12 },
        { id: 'b', cupId: 'rain', massG: 6 },
      ],
    },
  ],
  passes: [
    {
      id: 'p',
      tool: 'mouth',
      blowerId: null,
      setting: 'steady',
      at: { x: 100, y: 80 },
      directionDeg: 0,
      distanceMm: 100,
      slantDeg: 30,
      seconds: 3,
    },
  ],
  settings: { ...USUAL_SETTINGS, spinRpm: 40, spinSeconds: 20 },
};
const support = { shape: 'rectangle', widthMm: 200, heightMm: 160, sideDepthMm: 0 } as const;
const grams = { layer: (_item: string, layer: string) => (layer === 'a' ? 12 : 6), base: () => 90 };
const steps = runSheet(plan, support, grams);
const done = (id: string, stepId: string, outcome?: 'done' | 'skipped'): LoggedEvent =>
  outcome
    ? { id, kind: 'step', data: { stepId, outcome, note: '' } }
    : { id, kind: 'layer', data: { stepId, cupId: 'rust', mg: 1 } };

it('a plan becomes steps in the order of the work', () => {
  expect(steps.map((step) => step.kind)).toEqual([
    'level',
    'lay',
    'run-off',
    'lay',
    'lay',
    'torch',
    'wait',
    'pass',
    'wait',
    'spin',
    'photo',
  ]);
  expect(steps.flatMap((step) => (step.kind === 'lay' ? [step.mg] : []))).toEqual([90_000, 12_000, 6_000]);
});

it('an empty plan asks for nothing but a level support', () => {
  expect(runSheet(EMPTY_PLAN, support, grams).map((step) => step.kind)).toEqual(['level']);
});

it('what is done or left out is passed by; what is taken back is open again', () => {
  const log = [done('1', 'level', 'done'), done('2', 'base:0'), done('3', 'run-off', 'skipped')];
  expect(nextStep(steps, log)?.id).toBe('layer:pile:a');
  expect(stepStates(steps, log).get('run-off')).toBe('skipped');
  const back = [...log, { id: '4', kind: 'void', data: { eventId: '2' } } as const];
  expect(nextStep(steps, back)?.id).toBe('base:0');
});

it('a cup gives what it holds and no more', () => {
  expect(layProblem({ name: 'Rust', leftMg: 5000 }, 5000)).toBeUndefined();
  expect(layProblem({ name: 'Rust', leftMg: 5000 }, 5001)).toBe(
    '"Rust" holds 5.0 g: lay down that much or less.',
  );
  expect(layProblem({ name: 'Rust', leftMg: 0 }, 1)).toMatch(/Nothing is left/);
});

describe('pouring it again', () => {
  const support = { shape: 'rectangle', widthMm: 200, heightMm: 100, sideDepthMm: 0 } as const;
  const paints = [
    { id: 'white', role: 'base', densityGPerMl: 1 },
    { id: 'rust', role: 'color', densityGPerMl: 1.1 },
    { id: 'rain', role: 'color', densityGPerMl: 1.1 },
  ] as const;
  let next = 0;
  const newId = () => String((next += 1));
  const pass = {
    tool: 'mouth',
    setting: 'steady',
    distanceMm: 120,
    slantDeg: 20,
    directionDeg: 90,
    seconds: 4,
  } as const;
  const log: LoggedEvent[] = [
    { id: '1', kind: 'layer', data: { cupId: 'white', mg: 40_000 } },
    { id: '2', kind: 'layer', data: { cupId: 'rust', mg: 9_000 } },
    { id: '3', kind: 'layer', data: { cupId: 'rain', mg: 4_000 } },
    { id: '4', kind: 'pass', data: { ...pass, from: { x: 0.25, y: 0.5 } } },
    { id: '5', kind: 'wait', data: { seconds: 70, forWhat: '' } },
    { id: '6', kind: 'spin', data: { rpm: 30, seconds: 15, way: 'both' } },
  ];
  const again = planOfPour(log, paints, support, newId);

  it('keeps the grams, the order, the passes and the times that were logged', () => {
    expect(again.stacks[0]?.layers.map(({ cupId, massG }) => [cupId, massG])).toEqual([
      ['rust', 9],
      ['rain', 4],
    ]);
    expect(again.passes).toMatchObject([{ ...pass, at: { x: 50, y: 50 } }]);
    expect(again.settings).toMatchObject({ waitSeconds: 70, spinRpm: 30, spinSeconds: 15 });
  });

  it('makes of the base the film its grams are: 40 ml over 200 cm² are 2 mm', () => {
    expect(again.base).toMatchObject({ areas: [{ cupId: 'white', share: 1 }], film: { mm: 2 } });
  });

  it('of several piles keeps what was really laid: cups that were poured together since go onto all of them', () => {
    const pile = (id: string, colors: readonly string[]) => ({
      ...{ id, at: { x: 50, y: 50 }, footprintMm: 60 },
      layers: colors.map((cupId) => ({ id: `${id} ${cupId}`, cupId, massG: 5 })),
    });
    const before = { ...EMPTY_PLAN, stacks: [pile('a', ['rust', 'gone']), pile('b', ['rust', 'gone'])] };
    const planned: LoggedEvent[] = [{ id: '0', kind: 'plan', data: before }, ...log];
    const { stacks } = planOfPour(planned, paints, support, newId);
    for (const { layers } of stacks) {
      expect(layers.map(({ cupId, massG }) => [cupId, massG])).toEqual([
        ['rust', 4.5],
        ['rain', 2],
      ]);
    }
  });

  it('a pass remembers the very blower', () => {
    const blower = { id: 'mine', name: 'My dryer', exitDiameterMm: 40, exitSpeedMS: 12 };
    const blown: LoggedEvent[] = [{ id: '1', kind: 'pass', data: { ...pass, blower, from: null } }];
    expect(planOfPour(blown, paints, support, newId).passes[0]!.blowerId).toBe('mine');
  });
});
