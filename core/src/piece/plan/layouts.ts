import type { SupportSize } from '../support/index.ts';
import type { Aims, Technique } from '../../paint/stage/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { bentThrough } from './curve.ts';
import { splitBase, usualBase } from './layoutBase.ts';
import { ring, rays, sweep, swipedAcross } from './layoutLines.ts';
import { breaths, fromOneCup, pathOf, stackAt, type LayoutParts } from './layoutParts.ts';
import { PETALS } from './passes.ts';
import { EMPTY_PLAN, type Place, type Plan, type PlanSettings, type PlanStack } from './plan.ts';
import { USUAL_SETTINGS } from './ways.ts';

export const LAYOUTS = [
  { name: 'center-bloom', label: 'Center bloom', techniques: ['bloom'] },
  { name: 'off-center-bloom', label: 'Off-center bloom', techniques: ['bloom'] },
  { name: 'row', label: 'Row of flowers, staggered', techniques: ['bloom', 'dutch'] },
  { name: 'ring', label: 'Ring', techniques: ['bloom', 'dutch', 'swipe'] },
  { name: 'swipe-across', label: 'Bands, swiped across', techniques: ['swipe'] },
  { name: 'ring-center', label: 'Ring from one cup', techniques: ['ring'] },
  { name: 'ring-pair', label: 'Two rings, off center', techniques: ['ring'] },
  { name: 'cup-center', label: 'One cup, lifted', techniques: ['lifted-cup'] },
  { name: 'cup-row', label: 'Row of cups, lifted', techniques: ['lifted-cup'] },
  { name: 'rays', label: 'Rays from the middle', techniques: ['radial'] },
  { name: 'rays-aside', label: 'Rays from one side', techniques: ['radial'] },
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
export const usualLayout = (technique: Technique): LayoutName => USUAL[technique];

const USUAL: Readonly<Record<Technique, LayoutName>> = {
  dutch: 'diagonal',
  bloom: 'center-bloom',
  swipe: 'swipe-across',
  ring: 'ring-center',
  'lifted-cup': 'cup-center',
  radial: 'rays',
};

/**
 * A ready layout that adapts to the support and to the cups there are.
 *
 * Amounts and slants: common practice, no published source; they are a start to be changed.
 */
export function layOut(name: LayoutName, parts: LayoutParts): Plan {
  const laid = laidOut(name, parts);
  // A card takes the place of the air.
  return laid.settings.card ? { ...laid, passes: [] } : laid;
}

function laidOut(name: LayoutName, parts: LayoutParts): Plan {
  const { support } = parts;
  const { widthMm, heightMm } = support;
  const center = { x: widthMm / 2, y: heightMm / 2 };
  const span = reachOf(parts.aims) * Math.min(widthMm, heightMm);
  const sheetMm = sheetFor(parts.aims);
  const plan: Plan = {
    ...EMPTY_PLAN,
    settings: { ...USUAL_SETTINGS, ...settingsOf(parts), sheetMm },
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
    case 'swipe-across':
      return { ...plan, paths: swipedAcross(parts) };
    case 'ring-center':
      return { ...plan, stacks: [fromOneCup(parts, 'ring', center, 0.7 * span)] };
    case 'ring-pair':
      return {
        ...plan,
        stacks: [
          fromOneCup(parts, 'ring', { x: widthMm * 0.36, y: heightMm * 0.38 }, 0.5 * span),
          fromOneCup(parts, 'ring', { x: widthMm * 0.66, y: heightMm * 0.64 }, 0.42 * span),
        ],
      };
    case 'cup-center':
      return { ...plan, stacks: [fromOneCup(parts, 'cup', center, 0.75 * span)] };
    case 'cup-row':
      return {
        ...plan,
        stacks: rowPlaces(support, parts.count ?? 3).map(({ place, footprintMm }) =>
          fromOneCup(parts, 'cup', place, 0.9 * footprintMm),
        ),
      };
    case 'rays':
      return { ...plan, ...rays(parts, center, 0.36 * span, { fromDeg: 0, toDeg: 360 }) };
    case 'rays-aside': {
      const at = { x: widthMm * 0.2, y: heightMm / 2 };
      return { ...plan, ...rays(parts, at, 0.5 * span, { fromDeg: 30, toDeg: 150 }) };
    }
  }

  function between(place: Place, inward: number): Place {
    return { x: place.x + (center.x - place.x) * inward, y: place.y + (center.y - place.y) * inward };
  }
}

/**
 * What follows the laying in a technique: the straw and slow spins of a bloom, the blow test of a base that is blown over,
 * the card of a swipe (common practice, no published source).
 */
function settingsOf({ technique, aims }: LayoutParts): Partial<PlanSettings> {
  switch (technique) {
    case 'bloom':
      return { straw: true, skewer: true, ...spins(aims) };
    case 'dutch':
    case 'radial':
      return { blowTest: true };
    case 'swipe':
      return { card: true };
    case 'ring':
    case 'lifted-cup':
      return spins(aims);
  }
}

/** Slow and several times, both ways; a floating bloom less, a full one until it covers. */
function spins(aims: Aims | undefined): Partial<PlanSettings> {
  const floats = aims?.reach === 'floating' || aims?.negativeSpace === 'wanted';
  const spinTimes = aims?.reach === 'full' ? 4 : floats ? 2 : 3;
  return { spinRpm: SPIN.rpm, spinTimes, spinSeconds: SPIN.seconds * spinTimes };
}
const SPIN = { rpm: 30, seconds: 8 };

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
