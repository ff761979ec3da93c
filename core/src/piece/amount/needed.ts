import { windowFor, type Aims, type CupRole, type Technique, NO_AIMS } from '../../paint/stage/index.ts';
import { layOut, usualLayout, type LayoutName, type PlanPaint } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import { amounts } from './amounts.ts';

/** Cups of one role that a piece asks for, before a paint is chosen. */
export interface NeededCups {
  readonly role: CupRole;
  readonly count: number;
  /** Each, whole grams: the largest of them, with what runs off, what is kept back and what stays in the cup. */
  readonly massG: number;
}

export interface NeedInput {
  readonly support: SupportSize;
  readonly technique: Technique;
  /** Color cups. */
  readonly colors: number;
  readonly aims?: Aims;
  /** Left out: the technique's usual one. */
  readonly layout?: LayoutName;
  /** What the cups of a role weigh, g/ml; left out: usual mixes. */
  readonly densities?: Readonly<Partial<Record<CupRole, number>>>;
}

/** Usual mixes, g/ml (common practice). */
const USUAL_DENSITY = {
  base: 1.15,
  color: 1.15,
  pillow: 1.35,
  activator: 1.06,
  swipe: 1.06,
  medium: 1.05,
} as const;

/** The ground first, as the technique lays them. */
const CUPS: Readonly<Record<Technique, readonly CupRole[]>> = {
  dutch: ['base', 'color'],
  bloom: ['pillow', 'color', 'activator'],
  swipe: ['base', 'color', 'swipe'],
  ring: ['base', 'color'],
  'lifted-cup': ['base', 'color'],
  radial: ['base', 'color'],
};

/**
 * How big the cups of a piece are to be so that its layout can be poured: the amounts of that layout with paints in the
 * middle of their windows.
 *
 * Law: `amounts`.
 *
 * @throws InputError naming the field
 */
export function neededCups(input: NeedInput): NeededCups[] {
  const { support, technique, aims = NO_AIMS } = input;
  const counts = CUPS[technique].map((role) => ({
    role,
    count: role === 'color' ? Math.max(1, input.colors) : 1,
  }));
  const paints = counts.flatMap(({ role, count }) =>
    Array.from({ length: count }, (_, index) => usualPaint(`${role} ${index}`, role, input)),
  );
  let made = 0;
  const newId = () => `${(made += 1)}`;
  const layout = input.layout ?? usualLayout(technique);
  const plan = layOut(layout, { support, technique, aims, paints, newId });
  const taken = amounts(support, plan, paints).paints;
  return counts.map(({ role, count }) => {
    const own = taken.filter(({ cupId }) => cupId.startsWith(`${role} `));
    return { role, count, massG: Math.ceil(Math.max(0, ...own.map(({ massG }) => massG))) };
  });
}

function usualPaint(id: string, role: CupRole, { technique, aims, densities }: NeedInput): PlanPaint {
  const window = windowFor(technique, role, aims)?.aim;
  return {
    id,
    name: id,
    role,
    colorHex: '#808080',
    viscosityPaS: window ? Math.sqrt(window.thinPaS * window.thickPaS) : 1,
    densityGPerMl: densities?.[role] ?? USUAL_DENSITY[role],
    opacity: 'semi-opaque',
    finish: 'plain',
  };
}
