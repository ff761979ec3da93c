import { seededRandom } from '../../base/random/index.ts';
import {
  airOnPaint,
  BREATH_CURVES,
  BREATH_S,
  breathAim,
  distanceOf,
  scoreBreath,
  type BreathCurve,
} from './index.ts';

const blown = (
  curve: BreathCurve,
  stray: (seconds: number) => { far: number; hard: number } = () => ({ far: 0, hard: 0 }),
) =>
  Array.from({ length: 241 }, (_, at) => {
    const seconds = (BREATH_S * at) / 240;
    const aim = breathAim(curve, seconds / BREATH_S);
    const off = stray(seconds);
    return { seconds, far: aim.far + off.far, hard: aim.hard + off.hard };
  });

describe.each(BREATH_CURVES)('a breath that is %s', (curve) => {
  it('begins near, ends far, and stays within what a mouth can do', () => {
    for (let share = 0; share <= 1; share += 0.01) {
      const { far, hard } = breathAim(curve, share);
      for (const value of [far, hard]) expect(value >= 0 && value <= 1).toBe(true);
    }
    expect(distanceOf(breathAim(curve, 1))).toBeGreaterThan(distanceOf(breathAim(curve, 0)));
  });

  it('followed exactly makes all points, nothing blown none', () => {
    expect(scoreBreath(curve, blown(curve)).score).toBeGreaterThanOrEqual(98);
    expect(scoreBreath(curve, []).score).toBe(0);
  });

  it('half of it blown is at most half the points', () => {
    const half = blown(curve).filter(({ seconds }) => seconds < BREATH_S / 2);
    expect(scoreBreath(curve, half).score).toBeLessThanOrEqual(50);
  });

  it('trembling and straying cost points', () => {
    const random = seededRandom(9);
    const trembling = scoreBreath(
      curve,
      blown(curve, () => ({ far: 0, hard: 0.3 * (random() - 0.5) })),
    );
    const straying = scoreBreath(
      curve,
      blown(curve, () => ({ far: 0.1, hard: 0 })),
    );
    expect(trembling.sway).toBeGreaterThan(0.05);
    expect(trembling.score).toBeLessThan(85);
    expect(straying.score).toBeLessThan(80);
    expect(straying.sway).toBeLessThan(0.02);
  });
});

it('an even breath keeps the air on the paint the same while it draws back', () => {
  const speeds = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => airOnPaint(breathAim('even', share)));
  expect(Math.max(...speeds) / Math.min(...speeds)).toBeLessThan(1.02);
});

it('a growing breath ends with more air on the paint than the same breath held soft', () => {
  const soft = { ...breathAim('growing', 1), hard: 0 };
  expect(airOnPaint(breathAim('growing', 1))).toBeGreaterThan(1.5 * airOnPaint(soft));
});
