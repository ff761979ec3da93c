import { TECHNIQUES } from '../../paint/stage/index.ts';
import type { PlanPaint } from '../plan/index.ts';
import { paint } from '../../../testing/index.ts';
import { mudOf, ORDER_RULES, orderReasons, type OrderLayer, type OrderRuleName } from './index.ts';

const layer = (changes: Partial<PlanPaint> = {}, massG = 10, id = 'x'): OrderLayer => ({
  id,
  paint: paint(id, changes),
  massG,
});
const rule = (name: OrderRuleName) => ORDER_RULES.find((each) => each.name === name)!;

/** Grays by their lightness in OKLab: mid, light, dark. */
const BLACK = '#000000';
const GRAY = '#636363'; // OKLab lightness 0.5
const WHITE = '#ffffff';

/** The trade's weights beside each other (common practice, no published source). */
const ALL = TECHNIQUES.join(' ');

it.each([
  ['weight', 3, ALL],
  ['thickness', 2, ALL],
  ['largest below', 1, 'bloom'],
  ['opacity', 1.5, 'bloom'],
  ['mud', 2.5, ALL],
  ['metallic between plain', 1, 'dutch bloom'],
  ['neon bleeds', 1, ALL],
  ['shimmer over dark', 0.8, ALL],
  ['small under the activator', 1, 'bloom'],
  ['outline', 0.8, 'dutch'],
  ['shadow low', 0.6, 'bloom'],
  ['plain ends', 0.5, 'dutch'],
] as const)('the rule "%s" weighs %d and speaks for %s', (name, weight, techniques) => {
  expect(rule(name).weight).toBe(weight);
  expect(rule(name).techniques.join(' ')).toBe(techniques);
});

it('there are no other rules', () => {
  expect(ORDER_RULES).toHaveLength(12);
});

describe('how strongly a rule speaks', () => {
  const above = (name: OrderRuleName, lower: OrderLayer, upper: OrderLayer) =>
    rule(name).above!(lower, upper);
  const next = (name: OrderRuleName, lower: OrderLayer, upper: OrderLayer) => rule(name).next!(lower, upper);

  it('weight: half at 0.15 g/ml, fully from 0.3 on; the activator shall sink', () => {
    const of = (g: number, changes: Partial<PlanPaint> = {}) => layer({ densityGPerMl: g, ...changes });
    expect(above('weight', of(1.1), of(1.25))).toBeCloseTo(0.5, 9);
    expect(above('weight', of(1.1), of(1.5))).toBe(1);
    expect(above('weight', of(1.25), of(1.1))).toBe(0);
    expect(above('weight', of(1.1), of(1.25, { role: 'activator' }))).toBe(0);
  });

  it('thickness: half at twice, fully at four times as thick', () => {
    const of = (viscosityPaS: number) => layer({ viscosityPaS });
    expect(above('thickness', of(1), of(2))).toBeCloseTo(0.5, 9);
    expect(above('thickness', of(1), of(4))).toBeCloseTo(1, 9);
    expect(above('thickness', of(1), of(8))).toBe(1);
    expect(above('thickness', of(2), of(1))).toBe(0);
  });

  it('largest below: fully at three times as much', () => {
    expect(above('largest below', layer({}, 10), layer({}, 30))).toBeCloseTo(1, 9);
    expect(above('largest below', layer({}, 10), layer({}, Math.sqrt(300)))).toBeCloseTo(0.5, 9);
    expect(above('largest below', layer({}, 30), layer({}, 10))).toBe(0);
  });

  it('opacity: by three steps from opaque to transparent', () => {
    const of = (opacity: PlanPaint['opacity'], more: Partial<PlanPaint> = {}) => layer({ opacity, ...more });
    expect(above('opacity', of('opaque'), of('transparent'))).toBe(1);
    expect(above('opacity', of('semi-opaque'), of('semi-transparent'))).toBeCloseTo(1 / 3, 9);
    expect(above('opacity', of('opaque'), of('semi-transparent'))).toBeCloseTo(2 / 3, 9);
    expect(above('opacity', of('transparent'), of('opaque'))).toBe(0);
    expect(above('opacity', of('opaque'), of('transparent', { role: 'activator' }))).toBe(0);
  });

  it('metallic: only two that shimmer beside each other', () => {
    const [metallic, pearl, plain] = (['metallic', 'pearl', 'plain'] as const).map((finish) =>
      layer({ finish }),
    );
    expect(next('metallic between plain', metallic!, pearl!)).toBe(1);
    expect(next('metallic between plain', metallic!, plain!)).toBe(0);
    expect(next('metallic between plain', plain!, pearl!)).toBe(0);
  });

  it('neon: beside light colors that are not neon', () => {
    const neon = layer({ finish: 'neon', colorHex: WHITE });
    expect(next('neon bleeds', neon, layer({ colorHex: GRAY }))).toBe(1);
    expect(next('neon bleeds', layer({ colorHex: GRAY }), neon)).toBe(1);
    expect(next('neon bleeds', neon, layer({ colorHex: BLACK }))).toBe(0);
    expect(next('neon bleeds', neon, neon)).toBe(0);
    expect(next('neon bleeds', layer({ colorHex: WHITE }), layer({ colorHex: WHITE }))).toBe(0);
    const pale = layer({ finish: 'neon', colorHex: '#c6c6c6' }); // OKLab lightness 0.82
    expect(next('neon bleeds', pale, layer({ colorHex: GRAY }))).toBe(1);
    expect(next('neon bleeds', pale, layer({ colorHex: '#4a4a4a' }))).toBe(0);
  });

  it.each(['interference', 'color-shift'] as const)(
    '%s: the lighter what lies below, the worse',
    (finish) => {
      const upper = layer({ finish });
      expect(next('shimmer over dark', layer({ colorHex: GRAY }), upper)).toBeCloseTo(0.2, 2);
      expect(next('shimmer over dark', layer({ colorHex: WHITE }), upper)).toBeCloseTo(0.7, 2);
      expect(next('shimmer over dark', layer({ colorHex: BLACK }), upper)).toBe(0);
      expect(next('shimmer over dark', layer({ colorHex: WHITE }), layer())).toBe(0);
    },
  );

  it('under the activator: from 10 g on, fully at 35 g', () => {
    const net = layer({ role: 'activator' });
    expect(next('small under the activator', layer({}, 10), net)).toBe(0);
    expect(next('small under the activator', layer({}, 22.5), net)).toBeCloseTo(0.5, 9);
    expect(next('small under the activator', layer({}, 35), net)).toBeCloseTo(1, 9);
    expect(next('small under the activator', layer({}, 35), layer())).toBe(0);
  });

  it('outline: a pale first color, by what it lacks of darkness and of strength', () => {
    const at = rule('outline').at!;
    expect(at(layer({ colorHex: GRAY }), 0, 3)).toBeCloseTo(0.3, 2);
    expect(at(layer({ colorHex: WHITE }), 0, 3)).toBeCloseTo(0.8, 2);
    expect(at(layer({ colorHex: WHITE }), 1, 3)).toBe(0);
    expect(at(layer({ colorHex: BLACK }), 0, 3)).toBe(0);
    // A deep blue is not pale, however little chroma it has.
    expect(at(layer({ colorHex: '#27415f' }), 0, 3)).toBe(0);
  });

  it('shadow: nearly black, the worse the higher it lies', () => {
    const at = rule('shadow low').at!;
    const black = layer({ colorHex: '#161616' });
    expect([0, 1, 2].map((place) => at(black, place, 3))).toEqual([0, 0.5, 1]);
    expect(at(black, 0, 1)).toBe(0);
    expect(at(layer({ colorHex: GRAY }), 2, 3)).toBe(0);
    expect(at(layer({ colorHex: '#343434' }), 2, 3)).toBe(0); // OKLab lightness 0.33
    expect(at(layer({ colorHex: '#161616', role: 'activator' }), 2, 3)).toBe(0);
  });

  it('plain ends: a metallic first or last', () => {
    const at = rule('plain ends').at!;
    const brass = layer({ finish: 'metallic' });
    expect([0, 1, 2].map((place) => at(brass, place, 3))).toEqual([1, 0, 1]);
    expect(at(layer(), 0, 3)).toBe(0);
  });

  it('mud: by the chroma that is lost; what has hardly any loses none', () => {
    expect(mudOf('#c8452f', '#2f8f5c')).toBeCloseTo(mudOf('#2f8f5c', '#c8452f'), 12);
    expect(mudOf('#c8452f', '#c8452f')).toBeCloseTo(0, 2);
    expect(mudOf('#7f8a8f', '#c8452f')).toBe(0); // chroma 0.013
    expect(mudOf('#7a9aa8', '#c8452f')).toBeGreaterThan(0.1); // chroma 0.043
  });
});

it('reasons are told strongest first by weight times strength, small ones not at all', () => {
  const light = layer({ densityGPerMl: 1.1, viscosityPaS: 1 }, 10, 'light');
  const heavy = layer({ densityGPerMl: 1.25, viscosityPaS: 4 }, 10, 'heavy');
  const reasons = orderReasons('dutch', [light, heavy]).filter(({ rule: name }) =>
    ['weight', 'thickness'].includes(name),
  );
  // 2 x 1 for the thickness, 3 x 0.5 for the weight.
  expect(reasons.map(({ rule: name }) => name)).toEqual(['thickness', 'weight']);
  expect(reasons[1]).toMatchObject({
    weight: 3,
    strength: expect.closeTo(0.5, 9),
    lower: 'light',
    upper: 'heavy',
  });
  const hardly = layer({ densityGPerMl: 1.114 }, 10, 'hardly');
  expect(orderReasons('dutch', [light, hardly]).map(({ rule: name }) => name)).not.toContain('weight');
});
