import { STAGES, stageCenter, stageOf } from './stage.ts';
import { TECHNIQUES, thicknessWindows, windowFit } from './window.ts';

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
])('%f Pa.s is %s', (viscosityPaS, name) => {
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
  it('a Dutch pour wants base and colors alike at the fading stage', () => {
    expect(windowFit('dutch', 'base', 0.6)).toBe('fits');
    expect(windowFit('dutch', 'color', 1.2)).toBe('thick');
    expect(windowFit('dutch', 'color', 0.2)).toBe('thin');
  });

  it('a bloom wants pillow and colors standing and the activator clearly thinner', () => {
    expect(windowFit('bloom', 'color', 2.8)).toBe('fits');
    expect(windowFit('bloom', 'pillow', 0.9)).toBe('thin');
    expect(windowFit('bloom', 'pillow', 8)).toBe('fits');
    expect(windowFit('bloom', 'color', 8)).toBe('thick');
    expect(windowFit('bloom', 'activator', 0.5)).toBe('fits');
    expect(windowFit('bloom', 'activator', 1.18)).toBe('thick');
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
