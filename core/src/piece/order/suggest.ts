import { InputError } from '../../base/error/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import { ORDER_RULES, type OrderLayer, type OrderRule, type OrderRuleName } from './rules.ts';

/** What the artist wants whatever the rules say. */
export interface OrderWishes {
  /** Lies lowest, or is laid first: it outlines. */
  readonly firstId?: string | null;
  /** Lies on top, or is laid last. */
  readonly lastId?: string | null;
  /** Stays out of it. */
  readonly outIds?: readonly string[];
}

/** One reason against an order as it is; `web/words/order` says it. */
export interface OrderReason {
  readonly rule: OrderRuleName;
  readonly weight: number;
  /** 0 to 1, how strongly it applies; `weight` x `strength` is what it counts. */
  readonly strength: number;
  /** The paint it is about; of two, the one that lies lower. */
  readonly lower: string;
  /** The paint above it, for rules about two. */
  readonly upper: string | null;
}

export interface OrderAdvice {
  /** Layer ids from the bottom up. */
  readonly order: readonly string[];
  readonly cost: number;
  readonly reasons: readonly OrderReason[];
  /** What the order before had against it and this one has not. */
  readonly mended: readonly OrderReason[];
  /** What this one has against it and the order before had not. */
  readonly traded: readonly OrderReason[];
}

/** More layers than this are not searched through. */
const MOST_LAYERS = 14;
/** A reason that would read "0.0" is none. */
const WORTH_SAYING = 0.05;

/**
 * What speaks against an order, strongest first.
 *
 * @param layers from the bottom up, or in the order they are laid
 */
export function orderReasons(technique: Technique, layers: readonly OrderLayer[]): OrderReason[] {
  const reasons = rulesFor(technique).flatMap((rule) => reasonsOf(rule, layers));
  return reasons.sort((a, b) => b.weight * b.strength - a.weight * a.strength);
}

/** The sum of all reasons against an order. */
export function orderCost(technique: Technique, layers: readonly OrderLayer[]): number {
  const { above, next, at } = matrices(technique, layers);
  return layers.reduce((sum, _, upper) => {
    const under = layers.slice(0, upper).reduce((total, __, lower) => total + above[lower]![upper]!, 0);
    return sum + at[upper]![upper]! + under + (upper > 0 ? next[upper - 1]![upper]! : 0);
  }, 0);
}

/**
 * The order with the least against it, out of all permutations the wishes allow.
 *
 * A pillow stays lowest and an activator on top. All permutations are covered exactly by dynamic programming
 * over the sets of layers already laid (Held & Karp 1962, from memory): the cost of laying one more depends
 * only on which lie below and which lies right under it.
 *
 * @param layers in their present order, from the bottom up
 * @throws InputError for more than 14 layers or wishes that cannot all be met
 */
export function suggestOrder(
  technique: Technique,
  layers: readonly OrderLayer[],
  wishes: OrderWishes = {},
): OrderAdvice {
  const kept = layers.filter((layer) => !wishes.outIds?.includes(layer.id));
  if (kept.length > MOST_LAYERS) {
    throw new InputError('layers', `An order of at most ${MOST_LAYERS} layers can be searched.`);
  }
  const order = search(technique, kept, wishes);
  if (!order) {
    throw new InputError('wishes', 'No order meets all wishes: let one of them go.');
  }
  const reasons = orderReasons(technique, order);
  const before = orderReasons(technique, layers);
  return {
    order: order.map((layer) => layer.id),
    cost: orderCost(technique, order),
    reasons,
    mended: missingFrom(before, reasons),
    traded: missingFrom(reasons, before),
  };
}

function search(
  technique: Technique,
  layers: readonly OrderLayer[],
  wishes: OrderWishes,
): OrderLayer[] | undefined {
  const count = layers.length;
  if (count === 0) return [];
  const { above, next, at } = matrices(technique, layers);
  const allowed = layers.map((_, layer) => layers.map((__, place) => allows(layers, wishes, layer, place)));
  const sets = 2 ** count;
  const cost = new Float64Array(sets * count).fill(Number.POSITIVE_INFINITY);
  const before = new Int8Array(sets * count).fill(-1);
  for (let layer = 0; layer < count; layer += 1) {
    if (allowed[layer]![0]) cost[(1 << layer) * count + layer] = at[layer]![0]!;
  }
  for (let set = 1; set < sets; set += 1) {
    const place = bits(set);
    for (let upper = 0; upper < count; upper += 1) {
      if (set & (1 << upper) || !allowed[upper]![place]) continue;
      let under = at[upper]![place] ?? 0;
      for (let lower = 0; lower < count; lower += 1) if (set & (1 << lower)) under += above[lower]![upper]!;
      const grown = set | (1 << upper);
      for (let last = 0; last < count; last += 1) {
        const sum = cost[set * count + last]! + under + next[last]![upper]!;
        if (sum < cost[grown * count + upper]!) {
          cost[grown * count + upper] = sum;
          before[grown * count + upper] = last;
        }
      }
    }
  }
  return walkBack(layers, cost, before);
}

function walkBack(
  layers: readonly OrderLayer[],
  cost: Float64Array,
  before: Int8Array,
): OrderLayer[] | undefined {
  const count = layers.length;
  let set = 2 ** count - 1;
  let last = 0;
  for (let layer = 1; layer < count; layer += 1) {
    if (cost[set * count + layer]! < cost[set * count + last]!) last = layer;
  }
  if (!Number.isFinite(cost[set * count + last]!)) return undefined;
  const order: OrderLayer[] = [];
  while (last >= 0) {
    order.unshift(layers[last]!);
    const under = before[set * count + last]!;
    set &= ~(1 << last);
    last = under;
  }
  return order;
}

/** Whether the wishes, and what pillow and activator are for, allow a layer at a place. */
function allows(layers: readonly OrderLayer[], wishes: OrderWishes, index: number, place: number): boolean {
  const { id, paint } = layers[index]!;
  const pillows = layers.filter((layer) => layer.paint.role === 'pillow').length;
  const activators = layers.filter((layer) => layer.paint.role === 'activator').length;
  const [lowest, highest] = [0, layers.length - 1];
  if (paint.role === 'pillow' && place >= pillows) return false;
  if (paint.role !== 'pillow' && place < pillows) return false;
  if (paint.role === 'activator' && place <= highest - activators) return false;
  if (paint.role !== 'activator' && place > highest - activators) return false;
  const first = layers.find((layer) => layer.id === wishes.firstId);
  if (first && (first.paint.role === 'color' ? pillows : lowest) === place && first.id !== id) return false;
  const last = layers.find((layer) => layer.id === wishes.lastId);
  const top = last?.paint.role === 'color' ? highest - activators : highest;
  return !(last && top === place && last.id !== id);
}

const bits = (set: number): number => {
  let [rest, count] = [set, 0];
  while (rest > 0) {
    rest &= rest - 1;
    count += 1;
  }
  return count;
};

const rulesFor = (technique: Technique) => ORDER_RULES.filter((rule) => rule.techniques.includes(technique));

/** Costs of all pairs and places, each worked out once. */
function matrices(technique: Technique, layers: readonly OrderLayer[]) {
  const rules = rulesFor(technique);
  const total = (value: (rule: OrderRule) => number | undefined) =>
    rules.reduce((sum, rule) => sum + rule.weight * (value(rule) ?? 0), 0);
  return {
    above: layers.map((lower) => layers.map((upper) => total((rule) => rule.above?.(lower, upper)))),
    next: layers.map((lower) => layers.map((upper) => total((rule) => rule.next?.(lower, upper)))),
    at: layers.map((layer) =>
      layers.map((_, place) => total((rule) => rule.at?.(layer, place, layers.length))),
    ),
  };
}

function reasonsOf(rule: OrderRule, layers: readonly OrderLayer[]): OrderReason[] {
  const found: OrderReason[] = [];
  const note = (strength: number, lower: string, upper: string | null = null) => {
    if (Math.min(1, rule.weight) * strength < WORTH_SAYING) return;
    found.push({ rule: rule.name, weight: rule.weight, strength, lower, upper });
  };
  layers.forEach((upper, place) => {
    if (rule.at) note(rule.at(upper, place, layers.length), upper.paint.name);
    layers.slice(0, place).forEach((lower, under) => {
      if (rule.above) note(rule.above(lower, upper), lower.paint.name, upper.paint.name);
      if (rule.next && under === place - 1) note(rule.next(lower, upper), lower.paint.name, upper.paint.name);
    });
  });
  return found;
}

const missingFrom = (these: readonly OrderReason[], those: readonly OrderReason[]): OrderReason[] =>
  these.filter(
    (reason) =>
      !those.some(
        (other) => other.rule === reason.rule && other.lower === reason.lower && other.upper === reason.upper,
      ),
  );
