import { stackCells } from '../../flow/cell/index.ts';
import { spreadRadiusMm } from '../../flow/film/index.ts';
import { EMPTY_PLAN, type PlanStack } from '../plan/index.ts';
import { paint } from '../../../testing/index.ts';
import { coreSample, evenlyMm, puddle } from './index.ts';
import { pyramid } from '../plan/index.ts';

const pillow = paint('pillow', { role: 'pillow', viscosityPaS: 3, densityGPerMl: 1.15 });
const rust = paint('rust', { viscosityPaS: 2.5, densityGPerMl: 1.1 });
const net = paint('net', { role: 'activator', viscosityPaS: 0.5, densityGPerMl: 1.18 });
const paints = [pillow, rust, net];
const stack = (layers: PlanStack['layers']): PlanStack => ({
  id: 's',
  at: { x: 100, y: 100 },
  footprintMm: 200,
  layers,
});
const plan = { ...EMPTY_PLAN, settings: { ...EMPTY_PLAN.settings, standSeconds: 60 } };

describe('a puddle', () => {
  it('50 ml of 3 Pa·s stand 88.7 mm wide after a minute (Huppert 1982a, from memory)', () => {
    const { radiusMm, middleMm } = puddle({
      volumeMl: 50,
      viscosityPaS: 3,
      densityKgM3: 1150,
      seconds: 60,
    });
    expect(radiusMm).toBeCloseTo(88.7, 1);
    // The profile (1 - s^2)^(1/3), summed over rings, holds the whole volume again.
    const steps = 20_000;
    let volume = 0;
    for (let index = 0; index < steps; index += 1) {
      const s = (index + 0.5) / steps;
      volume += (2 * Math.PI * s * middleMm * Math.cbrt(1 - s * s) * radiusMm ** 2) / steps;
    }
    expect(volume / 1000).toBeCloseTo(50, 2);
  });
});

describe('the pyramid', () => {
  it('keeps its total and its step', () => {
    const grams = pyramid(100, 5, 0.7);
    expect(grams.reduce((sum, each) => sum + each, 0)).toBeCloseTo(100, 12);
    expect(grams[3]! / grams[2]!).toBeCloseTo(0.7, 12);
    expect(pyramid(21, 2, 0.75)).toEqual([12, 9]);
  });

  it.each([
    [0, 3, 0.7, 'totalG'],
    [10, 0, 0.7, 'count'],
    [10, 3, 0, 'step'],
  ])('refuses %d g in %d layers by %d and names %s', (total, count, step, field) => {
    expect(() => pyramid(total, count, step)).toThrow(expect.objectContaining({ field }));
  });
});

describe('the core sample', () => {
  const whole = stack([
    { id: 'a', cupId: 'pillow', massG: 57.5 },
    { id: 'b', cupId: 'rust', massG: 22 },
    { id: 'c', cupId: 'net', massG: 6 },
  ]);

  it('spreads each puddle as `spread` does, the lowest one longest', () => {
    const sample = coreSample(plan, whole, paints, { moment: 'poured' });
    const reach = (volumeMl: number, of: typeof rust, seconds: number) =>
      spreadRadiusMm({
        volumeMl,
        viscosityPaS: of.viscosityPaS,
        densityKgM3: 1000 * of.densityGPerMl,
        seconds,
      });
    expect(sample.layers.map((layer) => layer.radiusMm)).toEqual([
      reach(57.5 / 1.15, pillow, 76),
      reach(22 / 1.1, rust, 68),
      reach(6 / 1.18, net, 60),
    ]);
    expect(sample.heightMm).toBeCloseTo(
      sample.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0),
      12,
    );
  });

  it('blown out, every layer lies evenly over the flower; its interfaces are the cells of the bench', () => {
    const sample = coreSample(plan, whole, paints, { moment: 'blown' });
    expect(sample.layers[2]!.thicknessMm).toBe(evenlyMm(6 / 1.18, 200));
    expect(sample.interfaces).toHaveLength(2);
    const layers = sample.layers.map(({ paint: of, thicknessMm }) => ({
      ...{ thicknessMm, viscosityPaS: of.viscosityPaS, densityKgM3: 1000 * of.densityGPerMl },
    }));
    expect(sample.interfaces.map(({ cells }) => cells)).toEqual(stackCells(layers));
  });

  it('shows the wetted support under it', () => {
    const base = { paint: rust, filmMm: 0.8 };
    const sample = coreSample(plan, whole, paints, { base, moment: 'blown' });
    expect(sample.layers[0]).toMatchObject({ layerId: null, thicknessMm: 0.8 });
    expect(sample.interfaces).toHaveLength(3);
  });

  it('one layer has no interface, none is nothing', () => {
    const one = stack([{ id: 'a', cupId: 'rust', massG: 5 }]);
    expect(coreSample(plan, one, paints, { moment: 'poured' }).interfaces).toEqual([]);
    expect(coreSample(plan, stack([]), paints, { moment: 'poured' }).heightMm).toBe(0);
  });
});
