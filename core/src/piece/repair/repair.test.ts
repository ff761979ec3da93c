import fc from 'fast-check';
import { inForce, nextStep, planOfPour, type LoggedEvent, type Spot } from '../event/index.ts';
import { counting } from '../../../testing/index.ts';
import { openRepair, patchContrast, planRepair, repairIdOf, repairSteps, type RepairCup } from './index.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 300, sideDepthMm: 20 } as const;
const pile = { kind: 'stack', itemId: 'p', at: { x: 150, y: 150 }, footprintMm: 160 } as const;
const log: LoggedEvent[] = [
  { id: '1', kind: 'layer', data: { cupId: 'white', mg: 120_000 } },
  { id: '2', kind: 'layer', data: { cupId: 'rust', mg: 12_000, shape: pile } },
  { id: '3', kind: 'layer', data: { cupId: 'rain', mg: 8_000, shape: pile } },
  ...[0, 90, 180].map((directionDeg, index): LoggedEvent => ({
    id: `p${index}`,
    kind: 'pass',
    data: {
      ...{ tool: 'mouth', setting: 'soft', distanceMm: 100, slantDeg: 25, seconds: 3, from: null },
      directionDeg,
    },
  })),
];
const cups: RepairCup[] = [
  { id: 'rain', role: 'color', leftMg: 50_000 },
  { id: 'white', role: 'base', leftMg: 50_000 },
  { id: 'rust', role: 'color', leftMg: 50_000 },
];
const spot = (x: number, y: number, radiusMm: number): Spot => ({ kind: 'spot', at: { x, y }, radiusMm });

it('a repair lays fresh ground, then the same colors in their first order', () => {
  const plan = planRepair(spot(0.5, 0.5, 40), log, cups, support);
  expect(plan.layers.map(({ cupId }) => cupId)).toEqual(['white', 'rust', 'rain']);
  // pi 40^2 of 90,000 mm2 of ground, of pi 80^2 of flower: 6.7 g, a quarter of the colors.
  expect(plan.layers.map(({ mg }) => mg)).toEqual([6_700, 3_000, 2_000]);
  expect(plan.atEdge).toBe(false);
});

it('the air comes from where none came before', () => {
  expect(planRepair(spot(0.5, 0.5, 40), log, cups, support).directionDeg).toBe(270);
});

it('a cup that holds too little gives what it has, and is named', () => {
  const little = cups.map((cup) => (cup.id === 'rust' ? { ...cup, leftMg: 1_000 } : cup));
  const { layers, short } = planRepair(spot(0.5, 0.5, 40), log, little, support);
  expect(layers.find(({ cupId }) => cupId === 'rust')?.mg).toBe(1_000);
  expect(short).toEqual([{ cupId: 'rust', wantedMg: 3_000, leftMg: 1_000 }]);
});

it('never asks more of a cup than it holds, and a larger spot never takes less', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 3, max: 200, noNaN: true }),
      fc.array(fc.integer({ min: 0, max: 60_000 }), { minLength: 3, maxLength: 3 }),
      (x, y, radiusMm, left) => {
        const held = cups.map((cup, index) => ({ ...cup, leftMg: left[index]! }));
        const mgOf = (radius: number) => planRepair(spot(x, y, radius), log, held, support).layers;
        for (const { cupId, mg } of mgOf(radiusMm)) {
          expect(mg).toBeLessThanOrEqual(held.find(({ id }) => id === cupId)!.leftMg);
        }
        const sum = (radius: number) => mgOf(radius).reduce((all, { mg }) => all + mg, 0);
        expect(sum(radiusMm * 1.3)).toBeGreaterThanOrEqual(sum(radiusMm));
      },
    ),
  );
});

describe('its run', () => {
  const { layers, directionDeg } = planRepair(spot(0.1, 0.5, 40), log, cups, support);
  const begun: LoggedEvent = {
    id: 'r',
    kind: 'repair',
    data: { mark: spot(0.1, 0.5, 40), layers, directionDeg, note: '' },
  };
  const steps = repairSteps(begun as Extract<LoggedEvent, { kind: 'repair' }>);
  const skipAll = steps.map((step, index): LoggedEvent => ({
    id: `s${index}`,
    kind: 'step',
    data: { stepId: step.id, outcome: 'skipped', note: '' },
  }));

  it('scrapes, wipes the sides, lays, torches and blows', () => {
    expect(steps.map(({ kind }) => kind)).toEqual([
      'scrape',
      'wipe',
      'relay',
      'relay',
      'relay',
      'torch',
      'air-again',
    ]);
  });

  it('stays open until its last step, and is gone when it is taken back', () => {
    expect(openRepair(log)).toBeNull();
    expect(openRepair([...log, begun])?.event.id).toBe('r');
    expect(openRepair([...log, begun, ...skipAll.slice(1)])?.steps[0]?.kind).toBe('scrape');
    expect(openRepair([...log, begun, ...skipAll])).toBeNull();
    const taken: LoggedEvent = { id: 'v', kind: 'void', data: { eventId: 'r' } };
    expect(openRepair([...log, begun, taken])).toBeNull();
    expect(nextStep(steps, [...log, begun, skipAll[0]!])?.kind).toBe('wipe');
  });

  it('is no part of the recipe: pouring it again is the same with the repair and without it', () => {
    const relaid: LoggedEvent = {
      id: 'l',
      kind: 'layer',
      data: { cupId: 'rust', mg: 900, moment: 'add', stepId: steps[3]!.id },
    };
    expect(repairIdOf(relaid)).toBe('r');
    const paints = cups.map(({ id, role }) => ({ id, role, densityGPerMl: 1.1 }));
    const again = (events: readonly LoggedEvent[]) =>
      planOfPour(inForce(events), paints, support, counting());
    expect(again([...log, begun, relaid])).toEqual(again(log));
  });
});

describe('whether the patch will show (common practice, no published source)', () => {
  const cup = (role: 'base' | 'color', colorHex: string) => ({ role, colorHex, laidMg: 10_000 });

  it('on a stark white base a dark design shows it; where they differ little it hides', () => {
    expect(patchContrast([cup('base', '#ffffff'), cup('color', '#20242c')])?.verdict).toBe('shows');
    expect(patchContrast([cup('base', '#8fa3ad'), cup('color', '#96a7b0')])?.verdict).toBe('hides');
  });

  it('without a ground or a color there is nothing to hold against it', () => {
    expect(patchContrast([cup('color', '#20242c')])).toBeNull();
    expect(patchContrast([])).toBeNull();
  });
});
