import fc from 'fast-check';
import { seededRandom } from '../../base/random/index.ts';
import type { PlanPaint } from '../plan/index.ts';
import { paint } from '../../../testing/index.ts';
import {
  mudOf,
  ORDER_RULES,
  orderCost,
  orderHints,
  orderReasons,
  suggestOrder,
  type OrderLayer,
} from './index.ts';

const layer = (id: string, changes: Partial<PlanPaint> = {}, massG = 10): OrderLayer => ({
  id,
  paint: paint(id, changes),
  massG,
});
const order = (layers: readonly OrderLayer[], technique: 'bloom' | 'dutch' = 'bloom') =>
  suggestOrder(technique, layers).order;

const HEXES = ['#9c4a2c', '#26333f', '#8a9a5b', '#e6e1d6', '#c08a2e', '#6f93a8', '#7a2f4a', '#1f7f74'];
const FINISHES = ['plain', 'metallic', 'pearl', 'interference', 'neon'] as const;
const OPACITIES = ['opaque', 'semi-opaque', 'semi-transparent', 'transparent'] as const;

/** Any layers, from a seed. */
function some(seed: number, count: number): OrderLayer[] {
  const random = seededRandom(seed);
  const pick = <Value>(from: readonly Value[]) => from[Math.floor(random() * from.length)]!;
  return Array.from({ length: count }, (_, index) =>
    layer(
      `c${index}`,
      {
        colorHex: pick(HEXES),
        finish: pick(FINISHES),
        opacity: pick(OPACITIES),
        viscosityPaS: 1 + 3 * random(),
        densityGPerMl: 1.05 + 0.4 * random(),
      },
      5 + 20 * random(),
    ),
  );
}

function permutations<Value>(values: readonly Value[]): Value[][] {
  if (values.length <= 1) return [[...values]];
  return values.flatMap((value, index) =>
    permutations(values.filter((_, at) => at !== index)).map((rest) => [value, ...rest]),
  );
}

describe('the rules (common practice, no published source)', () => {
  it('the heavy color goes low', () => {
    expect(order([layer('light', { densityGPerMl: 1.08 }), layer('heavy', { densityGPerMl: 1.35 })])).toEqual(
      ['heavy', 'light'],
    );
  });

  it('the opaque color goes high in a bloom', () => {
    const layers = [layer('opaque', { opacity: 'opaque' }), layer('clear', { opacity: 'transparent' })];
    expect(order(layers)).toEqual(['clear', 'opaque']);
  });

  it('a metallic goes between two plain colors of a Dutch pour', () => {
    const layers = [layer('brass', { finish: 'metallic' }), layer('a'), layer('b')];
    expect(order(layers, 'dutch')[1]).toBe('brass');
  });

  it('a dark color outlines a Dutch pour rather than a pale one', () => {
    const layers = [layer('pale', { colorHex: '#f1efe8' }), layer('dark', { colorHex: '#1b2530' })];
    expect(order(layers, 'dutch')).toEqual(['dark', 'pale']);
  });

  it('complementary neighbors go to mud, grays and near relatives do not', () => {
    expect(mudOf('#c8452f', '#2f8f5c')).toBeGreaterThan(0.45);
    expect(mudOf('#c8452f', '#c8752f')).toBeLessThan(0.3);
    expect(mudOf('#c8452f', '#f3f2ec')).toBe(0);
  });

  it('a third color between them keeps two from going to mud', () => {
    const layers = [
      layer('red', { colorHex: '#c8452f' }),
      layer('green', { colorHex: '#2f8f5c' }),
      layer('white', { colorHex: '#f3f2ec' }),
    ];
    expect(order(layers)[1]).toBe('white');
  });

  it('every rule has a weight above 0 that can be seen, and none counts more than half of all', () => {
    const sum = ORDER_RULES.reduce((total, rule) => total + rule.weight, 0);
    for (const rule of ORDER_RULES) {
      expect(rule.weight).toBeGreaterThan(0);
      expect(rule.weight).toBeLessThan(sum / 2);
    }
  });
});

describe('what could be added or left out (common practice, no published source)', () => {
  const set = [
    layer('pale', { colorHex: '#f3f2ec' }),
    layer('blue', { colorHex: '#1d3f86' }),
    layer('navy', { colorHex: '#26333f' }),
  ];

  it('the color that contrasts most is repeated at the end of a Dutch pour', () => {
    expect(orderHints('dutch', set)).toEqual([{ code: 'repeat-at-the-end', name: 'pale' }]);
    expect(orderHints('dutch', set.toReversed())).toEqual([]);
    expect(orderHints('dutch', set.slice(0, 1))).toEqual([]);
  });

  it('dark colors on a light base are brightened with touches of it', () => {
    expect(orderHints('dutch', set.slice(1), '#f3f2ec')).toContainEqual({
      code: 'touches-of-base',
    });
  });

  it('an awkwardly thick cup becomes part of a bloom’s pillow', () => {
    const thick = [layer('rust', { viscosityPaS: 8 }), layer('rain')];
    expect(orderHints('bloom', thick)).toEqual([{ code: 'into-the-pillow', name: 'rust' }]);
    expect(orderHints('bloom', set)).toEqual([]);
  });
});

describe('the search', () => {
  it('finds what going through all permutations finds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.constantFrom('bloom', 'dutch'), (seed, technique) => {
        const layers = some(seed, 5);
        const least = Math.min(...permutations(layers).map((each) => orderCost(technique, each)));
        expect(suggestOrder(technique, layers).cost).toBeCloseTo(least, 9);
      }),
      { numRuns: 25 },
    );
  });

  it('the cost is the sum of the reasons that are shown, but for those too small to say', () => {
    const layers = some(7, 6);
    const shown = orderReasons('bloom', layers).reduce((sum, each) => sum + each.weight * each.strength, 0);
    const cost = orderCost('bloom', layers);
    expect(shown).toBeLessThanOrEqual(cost + 1e-9);
    expect(cost - shown).toBeLessThan(1);
  });

  it('the pillow stays lowest and the activator on top', () => {
    const layers = [
      layer('net', { role: 'activator', densityGPerMl: 1.4 }),
      ...some(3, 4),
      layer('pillow', { role: 'pillow', densityGPerMl: 1.0 }),
    ];
    const found = order(layers);
    expect(found[0]).toBe('pillow');
    expect(found.at(-1)).toBe('net');
  });

  it('wishes hold: this one outlines, that one lies on top, another stays out', () => {
    const layers = [layer('pillow', { role: 'pillow' }), ...some(11, 5)];
    const found = suggestOrder('bloom', layers, { firstId: 'c3', lastId: 'c0', outIds: ['c1'] });
    expect(found.order[1]).toBe('c3');
    expect(found.order.at(-1)).toBe('c0');
    expect(found.order).not.toContain('c1');
    expect(found.order).toHaveLength(5);
  });

  it('says what it mended and what it traded for it', () => {
    const layers = [
      layer('light', { densityGPerMl: 1.08, opacity: 'transparent' }),
      layer('heavy', { densityGPerMl: 1.4, opacity: 'opaque' }),
    ];
    const advice = suggestOrder('bloom', layers);
    expect(advice.mended.map(({ rule }) => rule)).toContain('weight');
    expect(advice.traded.map(({ rule }) => rule)).toContain('opacity');
  });

  it('wishes that cannot all be met, and too many layers, are answered', () => {
    const two = [layer('a'), layer('b')];
    expect(() => suggestOrder('bloom', two, { firstId: 'a', lastId: 'a' })).toThrow(
      expect.objectContaining({ field: 'wishes' }),
    );
    expect(() => suggestOrder('bloom', some(1, 15))).toThrow(expect.objectContaining({ field: 'layers' }));
    expect(order([])).toEqual([]);
  });
});
