import type { AirTool } from '../../flow/air/index.ts';
import { LIMITS, type Aims, type Technique } from '../../paint/stage/index.ts';
import type { SupportSize } from '../support/index.ts';
import { flowerSeconds, turnsOf } from './airTime.ts';
import { breathOut } from './passes.ts';
import type { PillowPlace } from './pillow.ts';
import type { Place, PlanLayer, PlanPaint, PlanPass, PlanPath, PlanStack } from './plan.ts';
import type { StackWay } from './ways.ts';

/** What a ready layout is made of: piles with their breaths, and lines of color. */
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

const LAID: readonly PlanPaint['role'][] = ['color', 'swipe', 'activator'];
/** What is laid along a line; the activator of a bloom stands on its pile only. */
export const colorsOf = ({ paints, technique }: LayoutParts) =>
  paints.filter(({ role }) => (technique === 'swipe' ? LAID : LAID.slice(0, 2)).includes(role));
export const firstOf = ({ paints }: LayoutParts, role: PlanPaint['role']) =>
  paints.find((paint) => paint.role === role);

/** A pile of all colors on its pillow, the activators on top: as many layers as there are cups. */
export function stackAt(parts: LayoutParts, at: Place, footprintMm: number): PlanStack {
  const colors = opaqueHigh(colorsOf(parts));
  const totalG = Math.max(1, LIMITS.colorGPerCm2.aim * (Math.PI / 4) * (footprintMm / 10) ** 2);
  const grams = evenWithSmallTop(totalG, colors.length);
  const layer = (cupId: string, massG: number | null): PlanLayer => ({ id: parts.newId(), cupId, massG });
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

export const roundG = (grams: number): number => Math.max(0.1, Math.round(grams * 10) / 10);

export function breaths(parts: LayoutParts, stack: PlanStack, turns: readonly number[]): PlanPass[] {
  const borne = turnsOf(stack.footprintMm, turns);
  const seconds = flowerSeconds(stack.footprintMm, borne.length);
  return borne.map((directionDeg) =>
    breathOut(parts.newId(), parts.tool ?? 'mouth', stack, directionDeg, seconds),
  );
}

export function pathOf(
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
    layers: colors.map((paint) => ({ id: parts.newId(), cupId: paint.id, massG: roundG(eachG) })),
  };
}

/** All colors from one cup: poured in rings, or turned over on the support and lifted off. */
export function fromOneCup(parts: LayoutParts, way: StackWay, at: Place, footprintMm: number): PlanStack {
  return { ...stackAt(parts, at, footprintMm), way };
}
