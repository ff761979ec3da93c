import { NO_AIMS } from './aims.ts';
import { STAGES, stageCenter, stageOf } from './stage.ts';
import { TECHNIQUES } from './technique.ts';
import { thicknessWindows, windowFit } from './window.ts';

it.each([
  [60, 'stacking'],
  [4.5, 'stacking'],
  [4.49, 'standing'],
  [1.6, 'standing'],
  [0.9, 'trace'],
  [0.76, 'fading'],
  [0.35, 'fading'],
  [0.349, 'gone'],
  [0.12, 'gone'],
  [0.05, 'denting'],
])('%f Pa·s is %s', (viscosityPaS, name) => {
  expect(stageOf(viscosityPaS).name).toBe(name);
});

it('the middle of each stage lies in it', () => {
  for (const { name } of STAGES) expect(stageOf(stageCenter(name)).name).toBe(name);
});

it('the stages run from thick to thin without a gap', () => {
  const limits = STAGES.map((stage) => stage.fromPaS);
  expect(limits).toEqual([...limits].sort((a, b) => b - a));
});

describe('contrast rules (common practice, no published source)', () => {
  it('a Dutch pour may be thick, medium or thin; an aim narrows it', () => {
    expect([0.21, 0.6, 1.9].map((paS) => windowFit('dutch', 'base', paS))).toEqual(['fits', 'fits', 'fits']);
    expect(windowFit('dutch', 'color', 3)).toBe('thick');
    expect(windowFit('dutch', 'color', 0.1)).toBe('thin');
    const medium = { ...NO_AIMS, thickness: 'medium' as const };
    expect(windowFit('dutch', 'color', 1.9, medium)).toBe('thick');
    expect(windowFit('dutch', 'color', 0.21, medium)).toBe('thin');
  });

  it('a bloom wants pillow and colors standing and the activator clearly thinner', () => {
    expect(windowFit('bloom', 'color', 2.8)).toBe('fits');
    // An equal-base medium over a pillow of itself.
    expect(windowFit('bloom', 'pillow', 0.93)).toBe('fits');
    expect(windowFit('bloom', 'pillow', 0.4)).toBe('thin');
    expect(windowFit('bloom', 'pillow', 8)).toBe('fits');
    expect(windowFit('bloom', 'color', 8)).toBe('thick');
    expect(windowFit('bloom', 'activator', 0.5)).toBe('fits');
    // What counts is that it is clearly thinner than the colors: 3 : 1 and 5 : 2 with tube paint are right.
    expect(windowFit('bloom', 'activator', 1.4)).toBe('fits');
  });

  it('asks nothing of a cup the technique has no use for', () => {
    expect(windowFit('dutch', 'activator', 0.5)).toBeUndefined();
  });

  it('every window has its thin end below its thick end', () => {
    for (const technique of TECHNIQUES) {
      for (const window of thicknessWindows(technique)) expect(window.thinPaS).toBeLessThan(window.thickPaS);
    }
  });
});
