import type { AirTool } from '../../flow/air/index.ts';
import type { SupportSize } from '../support/index.ts';
import { LIMITS, type Aims, type Technique } from '../../paint/stage/index.ts';
import { faceSeconds, flowerSeconds } from './airTime.ts';
import { pillowOnFace, type PillowPlace } from './pillow.ts';
import { bentThrough, curveAt } from './curve.ts';
import { breathOut, PETALS, usualPass } from './passes.ts';
import {
  EMPTY_PLAN,
  USUAL_FILM,
  USUAL_SETTINGS,
  type Place,
  type Plan,
  type PlanBase,
  type PlanLayer,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
  type PlanStack,
} from './plan.ts';

export const LAYOUTS = [
  { name: 'center-bloom', label: 'Center bloom', techniques: ['bloom'] },
  { name: 'off-center-bloom', label: 'Off-center bloom', techniques: ['bloom'] },
  { name: 'row', label: 'Row of flowers, staggered', techniques: ['bloom', 'dutch'] },
  { name: 'ring', label: 'Ring', techniques: ['bloom', 'dutch', 'swipe'] },
  { name: 'seam', label: 'Split base, colors on the seam', techniques: ['dutch', 'swipe'] },
  { name: 'diagonal', label: 'Diagonal sweep', techniques: ['dutch', 'swipe'] },
  { name: 'edge-crescent', label: 'Edge-only crescent', techniques: ['dutch'] },
  { name: 'four-breaths', label: 'Four breaths and diagonals', techniques: ['dutch', 'bloom'] },
] as const satisfies readonly {
  readonly name: string;
  readonly label: string;
  readonly techniques: readonly Technique[];
}[];

export type LayoutName = (typeof LAYOUTS)[number]['name'];

/**
 * The layout a technique begins with.
 *
 * @example usualLayout('bloom') // 'center-bloom'
 */
export const usualLayout = (technique: Technique): LayoutName =>
  technique === 'bloom' ? 'center-bloom' : 'diagonal';

export interface LayoutParts {
  readonly support: SupportSize;
  readonly technique: Technique;
  readonly paints: readonly PlanPaint[];
  /** Flowers of a row. */
  readonly count?: number;
  /** What the artist wants of it. */
  readonly aims?: Aims;
  /** Where the pillow of a bloom lies; left out: under the flower. */
  readonly pillow?: PillowPlace;
  /** What blows; left out: a breath for flowers, a hair dryer for a whole face of Dutch. */
  readonly tool?: AirTool;
  readonly newId: () => string;
}

/** Grams of color per cm of a ribbon (common practice, no published source). */
const COLOR_G_PER_CM = 1.6;

/**
 * A ready layout that adapts to the support and to the cups there are.
 *
 * Amounts and slants: common practice, no published source; they are a start to be changed.
 */
export function layOut(name: LayoutName, parts: LayoutParts): Plan {
  const { support } = parts;
  const { widthMm, heightMm } = support;
  const center = { x: widthMm / 2, y: heightMm / 2 };
  const span = reachOf(parts.aims) * Math.min(widthMm, heightMm);
  const sheetMm = sheetFor(parts.aims);
  const plan: Plan = {
    ...EMPTY_PLAN,
    settings: { ...USUAL_SETTINGS, sheetMm },
    base: usualBase(parts),
  };
  const withStacks = (stacks: readonly PlanStack[], turns: readonly number[]): Plan => ({
    ...plan,
    stacks,
    passes: stacks.flatMap((stack) => breaths(parts, stack, turns)),
  });
  switch (name) {
    case 'center-bloom':
      return withStacks([stackAt(parts, center, 0.7 * span)], PETALS);
    case 'off-center-bloom':
      return withStacks([stackAt(parts, { x: widthMm * 0.62, y: heightMm * 0.6 }, 0.62 * span)], PETALS);
    case 'row':
      return withStacks(
        rowPlaces(support, parts.count ?? 3).map(({ place, footprintMm }) =>
          stackAt(parts, place, footprintMm),
        ),
        FOUR_AND_DIAGONALS,
      );
    case 'ring':
      return { ...plan, ...ring(parts, center, 0.3 * span) };
    case 'seam': {
      const seam = {
        start: { x: widthMm * 0.5, y: 0 },
        control: { x: widthMm * 0.66, y: heightMm * 0.5 },
        end: { x: widthMm * 0.5, y: heightMm },
      };
      const path = pathOf(parts, 'ribbon', between(seam.start, 0.12), between(seam.end, 0.12), seam.control);
      return { ...plan, base: splitBase(parts, seam), ...sweep(parts, path, [90, 270]) };
    }
    case 'diagonal': {
      const [from, to] = [
        { x: widthMm * 0.2, y: heightMm * 0.82 },
        { x: widthMm * 0.82, y: heightMm * 0.2 },
      ];
      return { ...plan, ...sweep(parts, pathOf(parts, 'ribbon', from, to, center), [45, 135, 315]) };
    }
    case 'edge-crescent': {
      const [from, to] = [
        { x: widthMm * 0.16, y: heightMm * 0.3 },
        { x: widthMm * 0.16, y: heightMm * 0.7 },
      ];
      const bent = bentThrough({ start: from, end: to }, { x: widthMm * 0.1, y: heightMm * 0.5 });
      return { ...plan, ...sweep(parts, pathOf(parts, 'crescent', from, to, bent), [90, 90, 90]) };
    }
    case 'four-breaths':
      return withStacks([stackAt(parts, center, 0.55 * span)], FOUR_AND_DIAGONALS);
  }

  function between(place: Place, inward: number): Place {
    return { x: place.x + (center.x - place.x) * inward, y: place.y + (center.y - place.y) * inward };
  }
}

/** How far the flower shall reach, to a usual one that stops before the edge (common practice). */
function reachOf(aims: Aims | undefined): number {
  if (aims?.reach === 'full') return 1.4;
  return aims?.negativeSpace === 'wanted' ? 0.8 : 1;
}

/** A thinner sheet opens into a finer net (common practice). */
function sheetFor(aims: Aims | undefined): number {
  const factor = { fine: 0.8, broad: 1.4 }[aims?.lacing as 'fine' | 'broad'] ?? 1;
  return Number((factor * LIMITS.sheetMm.aim).toFixed(2));
}

const FOUR_AND_DIAGONALS = [0, 90, 180, 270, 45, 135, 225, 315];

const colorsOf = ({ paints }: LayoutParts) =>
  paints.filter((paint) => paint.role === 'color' || paint.role === 'swipe');
const firstOf = ({ paints }: LayoutParts, role: PlanPaint['role']) =>
  paints.find((paint) => paint.role === role);

/** A Dutch face is covered with the first base; a bloom stands on its pillow alone. */
function usualBase(parts: LayoutParts): PlanBase | null {
  const pillow = parts.pillow === 'face' && firstOf(parts, 'pillow');
  if (pillow) return pillowOnFace(pillow.id);
  const paint = firstOf(parts, 'base');
  if (!paint) return null;
  return {
    pattern: 'one',
    areas: [{ paintId: paint.id, share: 1 }],
    seam: null,
    film: USUAL_FILM,
  };
}

function splitBase(parts: LayoutParts, seam: PlanBase['seam']): PlanBase | null {
  const bases = parts.paints.filter((paint) => paint.role === 'base');
  const [one, two] = [bases[0], bases[1] ?? bases[0]];
  if (!one || !two) return null;
  return {
    pattern: 'split',
    areas: [
      { paintId: one.id, share: 0.5 },
      { paintId: two.id, share: 0.5 },
    ],
    seam,
    film: USUAL_FILM,
  };
}

/** A pile of all colors on its pillow, the activators on top: as many layers as there are cups. */
export function stackAt(parts: LayoutParts, at: Place, footprintMm: number): PlanStack {
  const colors = opaqueHigh(colorsOf(parts));
  const totalG = Math.max(1, LIMITS.colorGPerCm2.aim * (Math.PI / 4) * (footprintMm / 10) ** 2);
  const grams = evenWithSmallTop(totalG, colors.length);
  const layer = (paintId: string, massG: number | null): PlanLayer => ({ id: parts.newId(), paintId, massG });
  const pillow = (parts.pillow ?? 'flower') === 'flower' ? firstOf(parts, 'pillow') : undefined;
  const activators = parts.paints.filter((paint) => paint.role === 'activator');
  return {
    id: parts.newId(),
    at,
    footprintMm,
    layers: [
      ...(pillow ? [layer(pillow.id, null)] : []),
      ...colors.map((paint, index) => layer(paint.id, roundG(grams[index]!))),
      ...activators.map((activator) => layer(activator.id, null)),
    ],
  };
}

/** Opaque paint sinks: it lies high in the pile (common practice). */
const opaqueHigh = (colors: readonly PlanPaint[]): PlanPaint[] =>
  [...colors].sort((a, b) => Number(a.opacity === 'opaque') - Number(b.opacity === 'opaque'));

/** The color right under the activator is the smallest, or it takes over; the others are alike (common practice). */
const TOP_SHARE = 0.7;
function evenWithSmallTop(totalG: number, count: number): number[] {
  if (count < 2) return Array.from({ length: count }, () => totalG);
  const each = totalG / (count - 1 + TOP_SHARE);
  return Array.from({ length: count }, (_, index) => (index === count - 1 ? TOP_SHARE * each : each));
}

const roundG = (grams: number): number => Math.max(0.1, Math.round(grams * 10) / 10);

function breaths(parts: LayoutParts, stack: PlanStack, turns: readonly number[]): PlanPass[] {
  const seconds = flowerSeconds(stack.footprintMm, turns.length);
  return turns.map((directionDeg) =>
    breathOut(parts.newId(), parts.tool ?? 'mouth', stack, directionDeg, seconds),
  );
}

function pathOf(
  parts: LayoutParts,
  kind: PlanPath['kind'],
  start: Place,
  end: Place,
  control: Place,
): PlanPath {
  const lengthCm = Math.hypot(end.x - start.x, end.y - start.y) / 10;
  const colors = colorsOf(parts);
  const eachG = Math.max(1, (COLOR_G_PER_CM * lengthCm) / Math.max(1, colors.length));
  return {
    id: parts.newId(),
    kind,
    start,
    control,
    end,
    layers: colors.map((paint) => ({ id: parts.newId(), paintId: paint.id, massG: roundG(eachG) })),
  };
}

/** A path blown out with the dryer, and a little base flooded along it first. */
function sweep(parts: LayoutParts, path: PlanPath, turns: readonly number[]): Pick<Plan, 'paths' | 'passes'> {
  const base = firstOf(parts, 'base');
  const flood: PlanPath[] = base
    ? [
        {
          ...path,
          id: parts.newId(),
          kind: 'flood',
          layers: [
            {
              id: parts.newId(),
              paintId: base.id,
              massG: roundG(0.5 * path.layers.reduce((sum, layer) => sum + (layer.massG ?? 0), 0) || 5),
            },
          ],
        },
      ]
    : [];
  const tool = parts.tool ?? (parts.aims?.lacing === 'broad' ? 'fan-blower' : 'hair-dryer');
  const seconds = faceSeconds(parts.support, turns.length);
  const places = turns.map((_, index) =>
    curveAt(path, turns.length === 1 ? 0.5 : 0.25 + (0.5 * index) / (turns.length - 1)),
  );
  return {
    paths: [...flood, path],
    passes: turns.map((turn, index) => usualPass(parts.newId(), tool, places[index]!, turn, seconds)),
  };
}

/** Four bent lines end to end, blown outward all round. */
function ring(parts: LayoutParts, center: Place, radius: number): Pick<Plan, 'paths' | 'passes'> {
  const on = (deg: number, out = 1): Place => ({
    x: center.x + radius * out * Math.sin((deg * Math.PI) / 180),
    y: center.y - radius * out * Math.cos((deg * Math.PI) / 180),
  });
  const paths = [0, 90, 180, 270].map((deg) => {
    const ends = { start: on(deg), end: on(deg + 90) };
    return pathOf(parts, 'ribbon', ends.start, ends.end, bentThrough(ends, on(deg + 45)));
  });
  const tool = parts.tool ?? 'mini-blower';
  const seconds = faceSeconds(parts.support, 8);
  return {
    paths,
    passes: Array.from({ length: 8 }, (_, index) =>
      usualPass(parts.newId(), tool, on(index * 45), index * 45, seconds),
    ),
  };
}

/**
 * Places of flowers in a row along the longer side, staggered so that each touches an edge of the support:
 * one the upper, the next the lower.
 */
export function rowPlaces(support: SupportSize, count: number): { place: Place; footprintMm: number }[] {
  const { widthMm, heightMm } = support;
  const wide = widthMm >= heightMm;
  const [long, short] = wide ? [widthMm, heightMm] : [heightMm, widthMm];
  const number = Math.min(9, Math.max(1, Math.round(count)));
  const footprintMm = Math.min(0.72 * short, (1.25 * long) / (number + 0.25));
  const radius = footprintMm / 2;
  return Array.from({ length: number }, (_, index) => {
    const along = number === 1 ? long / 2 : radius + ((long - footprintMm) * index) / (number - 1);
    const across = index % 2 === 0 ? radius : short - radius;
    return { place: wide ? { x: along, y: across } : { x: across, y: along }, footprintMm };
  });
}
