import type { IngredientRole } from '../material/index.ts';

export interface WeighingStep {
  readonly ingredientId: string;
  readonly mg: number;
  /** "half" and "rest" for the two halves of a medium, "step" for water in small steps. */
  readonly portion: 'all' | 'half' | 'rest' | 'step';
}

interface StepIngredient {
  readonly id: string;
  readonly role: IngredientRole;
  readonly targetMg: number;
}

/** Water goes in by steps of at most this much, stirred smooth each time: all at once makes lumps. */
export const WATER_STEP_MG = 6000;

/**
 * The order at the scale: half of the first medium, so that paint does not stick to the cup; the paint;
 * the rest of the medium and any other medium or thinner; water last, in small steps.
 *
 * Source: common practice, no published source.
 *
 * @returns steps whose milligrams add up to each ingredient's target
 */
export function weighingSteps(ingredients: readonly StepIngredient[]): WeighingStep[] {
  const first = ingredients.find((each) => each.role === 'medium');
  const paints = ingredients.filter((each) => each.role === 'paint');
  const others = ingredients.filter(
    (each) => each !== first && each.role !== 'paint' && each.role !== 'water',
  );
  const whole = (each: StepIngredient): WeighingStep => ({
    ingredientId: each.id,
    mg: each.targetMg,
    portion: 'all',
  });
  const steps: WeighingStep[] = [];
  const halfMg = first ? Math.floor(first.targetMg / 2) : 0;
  if (first) steps.push({ ingredientId: first.id, mg: halfMg, portion: 'half' });
  steps.push(...paints.map(whole));
  if (first) {
    steps.push({ ingredientId: first.id, mg: first.targetMg - halfMg, portion: 'rest' });
  }
  steps.push(...others.map(whole));
  for (const water of ingredients.filter((each) => each.role === 'water')) {
    steps.push(...waterSteps(water));
  }
  return steps.filter((step) => step.mg > 0);
}

function waterSteps(water: StepIngredient): WeighingStep[] {
  const count = Math.max(1, Math.ceil(water.targetMg / WATER_STEP_MG));
  const stepMg = Math.floor(water.targetMg / count);
  return Array.from({ length: count }, (_, index) => ({
    ingredientId: water.id,
    mg: index === count - 1 ? water.targetMg - stepMg * (count - 1) : stepMg,
    portion: count === 1 ? 'all' : 'step',
  }));
}

export interface StepProgress extends WeighingStep {
  readonly done: boolean;
}

/** An ingredient that reached this share of its target needs no further step. */
const ENOUGH_SHARE = 0.95;

/**
 * The weighing steps with what has been done of them. The last step of an ingredient asks for what is
 * still missing, so that a little too much or too little in an earlier step evens out.
 *
 * @param additions what was weighed in, oldest first
 */
export function stepProgress(
  ingredients: readonly StepIngredient[],
  additions: readonly { readonly ingredientId: string; readonly mg: number }[],
): StepProgress[] {
  const steps = weighingSteps(ingredients);
  return steps.map((step, index) => {
    const { ingredientId } = step;
    const own = additions.filter((addition) => addition.ingredientId === ingredientId);
    const before = steps.slice(0, index).filter((each) => each.ingredientId === ingredientId);
    const isLast = !steps.slice(index + 1).some((each) => each.ingredientId === ingredientId);
    const targetMg = ingredients.find((each) => each.id === ingredientId)?.targetMg ?? 0;
    const inMg = own.reduce((sum, addition) => sum + addition.mg, 0);
    const done = own.length > before.length || inMg >= ENOUGH_SHARE * targetMg;
    const beforeMg = before.slice(own.length).reduce((sum, each) => sum + each.mg, 0);
    const missingMg = Math.max(0, targetMg - inMg - beforeMg);
    return { ...step, done, mg: isLast && !done ? missingMg : step.mg };
  });
}
