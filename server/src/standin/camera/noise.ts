import { seededRandom } from '@icy-ribbon/core/base/random';

const GRID = 128;

/** A smooth random field: the same place always gives the same value, between 0 and 1. */
export type Field = (x: number, y: number) => number;

/** Value noise on a repeating grid of random numbers, joined by smooth steps. */
export function valueNoise(seed: number): Field {
  const random = seededRandom(seed);
  const values = Float64Array.from({ length: GRID * GRID }, random);
  return (x, y) => {
    const left = Math.floor(x);
    const top = Math.floor(y);
    const u = ease(x - left);
    const v = ease(y - top);
    const x0 = left & (GRID - 1);
    const x1 = (left + 1) & (GRID - 1);
    const y0 = (top & (GRID - 1)) * GRID;
    const y1 = ((top + 1) & (GRID - 1)) * GRID;
    const upper = values[y0 + x0]! * (1 - u) + values[y0 + x1]! * u;
    const lower = values[y1 + x0]! * (1 - u) + values[y1 + x1]! * u;
    return upper * (1 - v) + lower * v;
  };
}

/** Three octaves of a field, each half as large and half as strong as the one before. */
export function layered(field: Field): Field {
  return (x, y) => (4 * field(x, y) + 2 * field(2 * x + 17, 2 * y + 5) + field(4 * x + 31, 4 * y + 11)) / 7;
}

const ease = (t: number): number => t * t * (3 - 2 * t);
