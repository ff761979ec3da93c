import { mixColor } from '../../paint/color/index.ts';
import type { PlanPaint } from '../plan/index.ts';
import { TECHNIQUES, type Technique } from '../../paint/stage/index.ts';
import { chromaOf, lightnessOf } from './tone.ts';

/** What the order is made of: one layer with the grams it has now. */
export interface OrderLayer {
  readonly id: string;
  readonly paint: PlanPaint;
  readonly massG: number;
}

export type OrderRuleName =
  | 'weight'
  | 'thickness'
  | 'largest below'
  | 'opacity'
  | 'mud'
  | 'metallic between plain'
  | 'neon bleeds'
  | 'shimmer over dark'
  | 'small under the activator'
  | 'outline'
  | 'shadow low'
  | 'plain ends';

/** One reason that speaks against an order, with what it weighs. */
export interface OrderRule {
  readonly name: OrderRuleName;
  /** How much it counts beside the others; can be seen wherever the advice is shown. */
  readonly weight: number;
  readonly techniques: readonly Technique[];
  /** 0 to 1: how bad it is that `upper` lies somewhere above `lower`. */
  readonly above?: (lower: OrderLayer, upper: OrderLayer) => number;
  /** 0 to 1: how bad it is that `upper` lies right on `lower`. */
  readonly next?: (lower: OrderLayer, upper: OrderLayer) => number;
  /** 0 to 1: how bad it is that a layer lies at `place` of `count`, from the bottom. */
  readonly at?: (layer: OrderLayer, place: number, count: number) => number;
}

const ALL: readonly Technique[] = TECHNIQUES;
const OPACITY_RANK = { transparent: 0, 'semi-transparent': 1, 'semi-opaque': 2, opaque: 3 } as const;
const share = (value: number) => Math.min(1, Math.max(0, value));
/** Lightness from which a color is called pale. */
const PALE_FROM = 0.45;
const isMetallic = ({ paint }: OrderLayer) => paint.finish === 'metallic' || paint.finish === 'pearl';

/**
 * What speaks for and against an order, the trade's rules (common practice, no published source) beside the
 * physics. None wins by itself: their weights are added up and shown.
 */
export const ORDER_RULES: readonly OrderRule[] = [
  {
    name: 'weight',
    weight: 3,
    techniques: ALL,
    above: (lower, upper) =>
      upper.paint.role === 'activator'
        ? 0
        : share((upper.paint.densityGPerMl - lower.paint.densityGPerMl) / 0.3),
  },
  {
    name: 'thickness',
    weight: 2,
    techniques: ALL,
    above: (lower, upper) =>
      share(Math.log(upper.paint.viscosityPaS / lower.paint.viscosityPaS) / Math.log(4)),
  },
  {
    name: 'largest below',
    weight: 1,
    techniques: ['bloom'],
    above: (lower, upper) => share(Math.log(upper.massG / lower.massG) / Math.log(3)),
  },
  {
    name: 'opacity',
    weight: 1.5,
    techniques: ['bloom'],
    above: (lower, upper) =>
      upper.paint.role === 'activator'
        ? 0
        : share((OPACITY_RANK[lower.paint.opacity] - OPACITY_RANK[upper.paint.opacity]) / 3),
  },
  {
    name: 'mud',
    weight: 2.5,
    techniques: ALL,
    next: (lower, upper) => mudOf(lower.paint.colorHex, upper.paint.colorHex),
  },
  {
    name: 'metallic between plain',
    weight: 1,
    techniques: ['dutch', 'bloom'],
    next: (lower, upper) => (isMetallic(lower) && isMetallic(upper) ? 1 : 0),
  },
  {
    name: 'neon bleeds',
    weight: 1,
    techniques: ALL,
    next: (lower, upper) =>
      (lower.paint.finish === 'neon') !== (upper.paint.finish === 'neon') &&
      lightnessOf(lower.paint.colorHex) + lightnessOf(upper.paint.colorHex) > 1.3
        ? 1
        : 0,
  },
  {
    name: 'shimmer over dark',
    weight: 0.8,
    techniques: ALL,
    next: (lower, upper) =>
      upper.paint.finish === 'interference' || upper.paint.finish === 'color-shift'
        ? share(lightnessOf(lower.paint.colorHex) - 0.3)
        : 0,
  },
  {
    name: 'small under the activator',
    weight: 1,
    techniques: ['bloom'],
    next: (lower, upper) => (upper.paint.role === 'activator' ? share(lower.massG / 25 - 0.4) : 0),
  },
  {
    name: 'outline',
    weight: 0.8,
    techniques: ['dutch'],
    at: ({ paint: { colorHex } }, place) =>
      place === 0 && lightnessOf(colorHex) >= PALE_FROM
        ? share(lightnessOf(colorHex) - chromaOf(colorHex) - 0.2)
        : 0,
  },
  {
    name: 'shadow low',
    weight: 0.6,
    techniques: ['bloom'],
    at: (layer, place, count) =>
      layer.paint.role === 'color' && count > 1 && lightnessOf(layer.paint.colorHex) < 0.3
        ? place / (count - 1)
        : 0,
  },
  {
    name: 'plain ends',
    weight: 0.5,
    techniques: ['dutch'],
    at: (layer, place, count) => (isMetallic(layer) && (place === 0 || place === count - 1) ? 1 : 0),
  },
];

const mudKnown = new Map<string, number>();
const MOST_KNOWN = 5000;

/**
 * How muddy two neighbors get, 0 to 1: what their mixture by Kubelka-Munk loses of their own chroma. Grays,
 * blacks and whites lose nothing and make no mud. A pair is worked out once.
 *
 * @example mudOf('#c8452f', '#f3f2ec') // 0
 */
export function mudOf(a: string, b: string): number {
  const pair = a < b ? `${a} ${b}` : `${b} ${a}`;
  const known = mudKnown.get(pair);
  if (known !== undefined) return known;
  if (mudKnown.size >= MOST_KNOWN) mudKnown.clear();
  const mud = lostChroma(a, b);
  mudKnown.set(pair, mud);
  return mud;
}

function lostChroma(a: string, b: string): number {
  const own = (chromaOf(a) + chromaOf(b)) / 2;
  if (Math.min(chromaOf(a), chromaOf(b)) < 0.04) return 0;
  const mixed = chromaOf(
    mixColor([
      { hex: a, amount: 1 },
      { hex: b, amount: 1 },
    ]),
  );
  return share((own - mixed) / own);
}
