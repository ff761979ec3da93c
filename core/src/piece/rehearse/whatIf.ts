import type { Plan, PlanPaint, PlanPass } from '../plan/index.ts';

/** What may be changed of a plan to see what becomes of it. */
export const WHAT_IF_CAUSES = [
  'activator-thickness',
  'dose',
  'distance',
  'slant',
  'base-film',
  'order',
  'spin',
] as const;
export type WhatIfCause = (typeof WHAT_IF_CAUSES)[number];

/** A plan with its paints, as it is or changed. */
export interface Variant {
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
}

/**
 * Values a cause is tried at: factors of what is planned; degrees for the slant; turns a minute for the spin; 0 and 1 for the order as planned and
 * turned over.
 *
 * @example whatIfValues('dose') // [0, 0.5, 1, 2]
 */
export function whatIfValues(cause: WhatIfCause): readonly number[] {
  switch (cause) {
    case 'activator-thickness':
      return [0.5, 1, 2, 4];
    case 'dose':
      return [0, 0.5, 1, 2];
    case 'distance':
      return [0.6, 1, 1.6, 2.5];
    case 'slant':
      return [15, 25, 45, 75];
    case 'base-film':
      return [0.5, 1, 2];
    case 'order':
      return [0, 1];
    case 'spin':
      return [0, 30, 60];
  }
}

/**
 * The causes that a plan has: without a base its film cannot be changed, without an activator neither its thickness nor its dose.
 */
export function whatIfCauses({ plan, paints }: Variant): WhatIfCause[] {
  const laid = [...plan.stacks, ...plan.paths].flatMap(({ layers }) => layers.map(({ cupId }) => cupId));
  const roleOf = (id: string) => paints.find((paint) => paint.id === id)?.role;
  const hasActivator = laid.some((id) => roleOf(id) === 'activator');
  const turns = plan.stacks.some(
    ({ layers }) => layers.filter(({ cupId }) => roleOf(cupId) === 'color').length > 1,
  );
  const has: Readonly<Record<WhatIfCause, boolean>> = {
    'activator-thickness': hasActivator,
    dose: hasActivator,
    distance: plan.passes.length > 0,
    slant: plan.passes.length > 0,
    'base-film': plan.base !== null,
    order: turns,
    spin: laid.length > 0,
  };
  return WHAT_IF_CAUSES.filter((cause) => has[cause]);
}

/**
 * Whether a cause changes the plan alone: what changes a cup must be mixed.
 *
 * @example isPlanned('dose') // false
 */
export const isPlanned = (cause: WhatIfCause): boolean => cause !== 'activator-thickness' && cause !== 'dose';

/** The plan and its paints with one cause at another value. */
export function varied({ plan, paints }: Variant, cause: WhatIfCause, value: number): Variant {
  const activators = (change: (paint: PlanPaint) => Partial<PlanPaint>) => ({
    plan,
    paints: paints.map((paint) => (paint.role === 'activator' ? { ...paint, ...change(paint) } : paint)),
  });
  const passes = (change: (pass: PlanPass) => Partial<PlanPass>) => ({
    paints,
    plan: { ...plan, passes: plan.passes.map((pass) => ({ ...pass, ...change(pass) })) },
  });
  switch (cause) {
    case 'activator-thickness':
      return activators(({ viscosityPaS }) => ({ viscosityPaS: viscosityPaS * value }));
    case 'dose':
      return activators(({ doseFactor = 1 }) => ({ doseFactor: Math.max(LEAST_DOSE, doseFactor * value) }));
    case 'distance':
      return passes(({ distanceMm, end }) => ({
        distanceMm: Math.round(distanceMm * value),
        end: end && { ...end, distanceMm: Math.round(end.distanceMm * value) },
      }));
    case 'slant':
      return passes(() => ({ slantDeg: value }));
    case 'base-film': {
      const { base } = plan;
      if (!base) return { plan, paints };
      const film =
        base.film.kind === 'thickness'
          ? { ...base.film, mm: base.film.mm * value }
          : // A film that runs off thins with the square root of the time.
            { ...base.film, seconds: base.film.seconds / value ** 2 };
      return { paints, plan: { ...plan, base: { ...base, film } } };
    }
    case 'order':
      return { paints, plan: value === 1 ? turnedOver(plan, paints) : plan };
    case 'spin':
      return {
        paints,
        plan: {
          ...plan,
          settings: { ...plan.settings, spinRpm: value, spinSeconds: value > 0 ? SPIN_S : 0 },
        },
      };
  }
}

/** A sheet without its cell former opens hardly at all. */
const LEAST_DOSE = 0.02;
const SPIN_S = 8;

/** The colors of every pile the other way up; pillow and activator stay where they are. */
function turnedOver(plan: Plan, paints: readonly PlanPaint[]): Plan {
  const isColor = (cupId: string) => paints.find(({ id }) => id === cupId)?.role === 'color';
  return {
    ...plan,
    stacks: plan.stacks.map((stack) => {
      const colors = stack.layers.filter(({ cupId }) => isColor(cupId)).reverse();
      return {
        ...stack,
        layers: stack.layers.map((layer) => (isColor(layer.cupId) ? colors.shift()! : layer)),
      };
    }),
  };
}

/** One run of a what-if: which value each cause has, and the plan with them. */
export interface WhatIfRun extends Variant {
  readonly values: Readonly<Partial<Record<WhatIfCause, number>>>;
}

/** Runs of one cause, or of two crossed: at most 12. */
export function whatIfRuns(
  given: Variant,
  causes: readonly [WhatIfCause] | readonly [WhatIfCause, WhatIfCause],
): WhatIfRun[] {
  const [first, second] = causes;
  const crossed = second !== undefined && second !== first;
  const few = (values: readonly number[]) =>
    values.length > MOST_CROSSED ? values.slice(0, MOST_CROSSED) : values;
  return whatIfValues(first).flatMap((value) => {
    const one = varied(given, first, value);
    if (!crossed) return [{ ...one, values: { [first]: value } }];
    return few(whatIfValues(second)).map((other) => ({
      ...varied(one, second, other),
      values: { [first]: value, [second]: other },
    }));
  });
}

const MOST_CROSSED = 3;
