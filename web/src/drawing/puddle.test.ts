import { describe, expect, it } from '@jest/globals';
import { puddleOutline, puddlePath } from './puddle.ts';

const area = (points: readonly (readonly [number, number])[]) =>
  Math.abs(
    points.reduce((sum, [x, y], index) => {
      const [nextX, nextY] = points[(index + 1) % points.length]!;
      return sum + x * nextY - y * nextX;
    }, 0) / 2,
  );

describe('the edge of a puddle', () => {
  it.each([
    [100, 80, 40],
    [0, 0, 3],
    [251, 12, 118],
  ])('at %d, %d with radius %d covers what the circle would, within 2 %%', (x, y, radius) => {
    expect(area(puddleOutline(x, y, radius)) / (Math.PI * radius ** 2)).toBeCloseTo(1, 1.7);
  });

  it('is never a perfect ring, and never strays far', () => {
    const far = puddleOutline(50, 50, 20).map(([x, y]) => Math.hypot(x - 50, y - 50) / 20);
    expect(Math.max(...far) - Math.min(...far)).toBeGreaterThan(0.01);
    expect(Math.max(...far)).toBeLessThan(1.04);
    expect(Math.min(...far)).toBeGreaterThan(0.96);
  });

  it('is the same each time it is drawn', () => {
    expect(puddlePath(31, 42, 17)).toBe(puddlePath(31, 42, 17));
    expect(puddlePath(31, 42, 17)).not.toBe(puddlePath(80, 42, 17));
  });
});
