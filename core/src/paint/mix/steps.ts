import type { IngredientRole } from '../material/index.ts';

/**
 * How a cup is filled: half of the medium under the paint, all of it, or the paint first with the medium stirred into it
 * (common practice, no published source).
 */
export const STIRRING_ORDERS = ['half-medium', 'medium-first', 'paint-first'] as const;
export type StirringOrder = (typeof STIRRING_ORDERS)[number];

export interface WeighingStep {
  readonly ingredientId: string;
  readonly mg: number;
  /** "half" and "rest" for the two halves of a medium, "thirds" for water that is stirred in a third at a time. */
  readonly portion: 'all' | 'half' | 'rest' | 'thirds';
}

interface StepIngredient {
  readonly id: string;
  readonly role: IngredientRole;
  readonly targetMg: number;
}

/** More water than this makes lumps when it goes in all at once. */
export const WATER_AT_ONCE_MG = 6000;

/**
 * The order at the scale: by default half of the first medium, so that paint does not stick to the cup; the paint; the
 * rest of the medium and any other medium or thinner; measured water last, weighed once and stirred in by thirds.
 *
 * Source: common practice, no published source.
 *
 * @returns steps whose milligrams add up to each ingredient's target
 */
export function weighingSteps(
  ingredients: readonly StepIngredient[],
  order: StirringOrder = 'half-medium',
): WeighingStep[] {
  const first = ingredients.find((each) => each.role === 'medium');
  const paints = ingredients.filter((each) => each.role === 'paint');
  const others = ingredients.filter(
    (each) => each !== first && each.role !== 'paint' && each.role !== 'water',
  );
  const whole = (each: StepIngredient): WeighingStep => ({
    ingredientId: each.id,
    mg: each.targetMg,
    portion: each.role === 'water' && each.targetMg > WATER_AT_ONCE_MG ? 'thirds' : 'all',
  });
  const water = ingredients.filter((each) => each.role === 'water');
  return [...mediumAndPaint(first, paints, order, whole), ...others.map(whole), ...water.map(whole)].filter(
    (step) => step.mg > 0,
  );
}

function mediumAndPaint(
  medium: StepIngredient | undefined,
  paints: readonly StepIngredient[],
  order: StirringOrder,
  whole: (each: StepIngredient) => WeighingStep,
): WeighingStep[] {
  if (!medium) return paints.map(whole);
  if (order === 'paint-first') return [...paints.map(whole), whole(medium)];
  if (order === 'medium-first') return [whole(medium), ...paints.map(whole)];
  const halfMg = Math.floor(medium.targetMg / 2);
  return [
    { ingredientId: medium.id, mg: halfMg, portion: 'half' },
    ...paints.map(whole),
    { ingredientId: medium.id, mg: medium.targetMg - halfMg, portion: 'rest' },
  ];
}

export interface StepProgress extends WeighingStep {
  readonly done: boolean;
}

/** An ingredient that reached this share of its target needs no further step. */
const ENOUGH_SHARE = 0.95;

/**
 * The weighing steps with what has been done of them. The last step of an ingredient asks for what is
 * still missing, until it is all in, so that a little too much or too little in an earlier step evens out.
 *
 * @param additions what was weighed in, oldest first
 */
export function stepProgress(
  ingredients: readonly StepIngredient[],
  additions: readonly { readonly ingredientId: string; readonly mg: number }[],
  order?: StirringOrder,
): StepProgress[] {
  const steps = weighingSteps(ingredients, order);
  return steps.map((step, index) => {
    const { ingredientId } = step;
    const own = additions.filter((addition) => addition.ingredientId === ingredientId);
    const before = steps.slice(0, index).filter((each) => each.ingredientId === ingredientId);
    const isLast = !steps.slice(index + 1).some((each) => each.ingredientId === ingredientId);
    const targetMg = ingredients.find((each) => each.id === ingredientId)?.targetMg ?? 0;
    const inMg = own.reduce((sum, addition) => sum + addition.mg, 0);
    const done = inMg >= ENOUGH_SHARE * targetMg || (!isLast && own.length > before.length);
    const beforeMg = before.slice(own.length).reduce((sum, each) => sum + each.mg, 0);
    const missingMg = Math.max(0, targetMg - inMg - beforeMg);
    return { ...step, done, mg: isLast && !done ? missingMg : step.mg };
  });
}
