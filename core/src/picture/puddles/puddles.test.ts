import { ring, shot, type Shot } from '../../../testing/index.ts';
import { seededRandom, type Random } from '../../base/random/index.ts';
import { linearRgb } from '../../paint/color/oklab.ts';
import { orderOf } from './order.ts';
import { puddlesOn, type Puddles } from './index.ts';

const FACE = { widthMm: 160, heightMm: 110 };

interface Laid extends Shot {
  readonly shape: 'row' | 'ring';
  /** As they follow each other. */
  readonly puddles: readonly { readonly x: number; readonly y: number; readonly diameterMm: number }[];
}

const BASES = ['#17161a', '#f0eee8', '#5a6f73'];
const STACK = ['#c0552d', '#f3efe4', '#2a6ea0', '#d3a13c'];

/** Small stacks on a base, in a row or a ring, of known size; the inner layers may have the base's color. Invented. */
function lay(random: Random, shape: 'row' | 'ring', sizes?: readonly number[]): Laid {
  const between = (low: number, high: number) => low + (high - low) * random();
  const baseHex = BASES[Math.floor(random() * BASES.length)]!;
  const count = sizes?.length ?? (shape === 'row' ? 5 : 6);
  const puddles = Array.from({ length: count }, (_, index) => {
    const turn = -Math.PI + (2 * Math.PI * (index + 0.5)) / count;
    const [x, y] =
      shape === 'row'
        ? [24 + (112 * index) / (count - 1), 55 + between(-4, 4)]
        : [80 + 36 * Math.cos(turn), 55 + 36 * Math.sin(turn)];
    const diameterMm = sizes?.[index] ?? between(11, 19);
    return {
      x: x + between(-1, 1),
      y: y + between(-1, 1),
      diameterMm,
      wave: between(0, 0.04),
      phase: between(0, 6),
    };
  });
  const base = linearRgb(baseHex);
  // The outer layer is seen against the base.
  const order = [...STACK].sort(() => random() - 0.5);
  const layers = (order[0] === STACK[1] ? order.reverse() : order).map(linearRgb);
  const at = (x: number, y: number): readonly number[] => {
    for (const { x: cx, y: cy, diameterMm, wave, phase } of puddles) {
      const far = Math.hypot(x - cx, y - cy) / (diameterMm / 2);
      if (far > 1.1) continue;
      // Not quite round, but as large.
      const edge = 1 + wave * Math.sin(3 * Math.atan2(y - cy, x - cx) + phase);
      if (far < edge) return far < 0.35 ? base : layers[Math.floor(3.99 * (1 - far / edge))]!;
    }
    return base;
  };
  const shines = Array.from({ length: 4 }, () => ({
    ...{ x: between(6, 154), y: between(6, 20), wide: between(0.8, 1.8), high: between(0.8, 1.8) },
  }));
  return { ...shot(random, { ...FACE, at, shines, pxPerMm: 3 }), shape, puddles };
}

const look = ({ photo, corners }: Shot): Puddles => puddlesOn(photo, { corners, ...FACE });

it.each(['row', 'ring'] as const)(
  'a %s of stacks on unseen pictures: all are found in their order; diameters and gaps lie within what is claimed in nine of ten',
  (shape) => {
    const random = seededRandom(shape === 'row' ? 5 : 6);
    let [within, all] = [0, 0];
    for (let picture = 0; picture < ring(4, 8); picture += 1) {
      const known = lay(random, shape);
      const found = look(known);
      expect(found.shape).toBe(shape);
      expect(found.puddles).toHaveLength(known.puddles.length);
      found.puddles.forEach(({ x, y, diameterMm, sdMm, gapMm }, at) => {
        const truth = known.puddles[at]!;
        expect(Math.hypot(x - truth.x, y - truth.y)).toBeLessThan(1);
        all += 1;
        if (Math.abs(diameterMm - truth.diameterMm) < 1.645 * sdMm) within += 1;
        const next = known.puddles[at + 1] ?? (shape === 'ring' ? known.puddles[0] : undefined);
        if (!next) return expect(gapMm).toBeNull();
        const gap = Math.hypot(next.x - truth.x, next.y - truth.y) - (next.diameterMm + truth.diameterMm) / 2;
        expect(Math.abs(gapMm! - gap)).toBeLessThan(1.2);
      });
    }
    expect(within / all).toBeGreaterThanOrEqual(0.85);
  },
);

it('one that is much larger is named; alike ones are even', () => {
  const even = look(lay(seededRandom(8), 'row', [14, 14, 14, 14, 14]));
  expect(even.odd).toEqual([]);
  expect(even.sizeSpread).toBeLessThan(0.04);
  const odd = look(lay(seededRandom(9), 'row', [14, 14, 19, 14, 14]));
  expect(odd.odd).toEqual([2]);
  expect(odd.sizeSpread).toBeGreaterThan(0.1);
});

it('puddles that touch are said, all around too; an empty base is no row', () => {
  const touching = look(lay(seededRandom(10), 'row', [14, 31, 31, 14, 14]));
  expect(touching.warnings.map(({ code }) => code)).toContain('touch');
  // Six that touch all around enclose the middle: no picture tells them from one.
  expect(() => look(lay(seededRandom(12), 'ring', [40, 40, 40, 40, 40, 40]))).toThrow(
    'they touch all around',
  );
  expect(() => look(lay(seededRandom(11), 'row', [3, 3]))).toThrow('Fewer than two puddles can be told');
});

it('places are followed around their middle in a ring, and along in a row', () => {
  const ring = [0, 2, 4, 1, 3, 5].map((turn) => ({
    x: Math.cos(((turn - 2.5) * Math.PI) / 3),
    y: Math.sin(((turn - 2.5) * Math.PI) / 3),
  }));
  expect(orderOf(ring)).toEqual({ shape: 'ring', order: [0, 3, 1, 4, 2, 5] });
  const row = [5, 1, 3].map((x) => ({ x, y: 0.2 * x }));
  expect(orderOf(row)).toEqual({ shape: 'row', order: [1, 2, 0] });
});
