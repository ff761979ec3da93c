import { LIGHT, UNKNOWN_PAINT } from '../theme/tokens.ts';
import { airTool } from '@icy-ribbon/core/flow/air';
import type { BlowerExit } from '@icy-ribbon/core/piece/amount';
import { carriedMm } from '@icy-ribbon/core/piece/rehearse';
import {
  curvePlaces,
  distanceMm,
  lengthMm,
  seamSides,
  type Place,
  type Plan,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
  type PlanStack,
} from '@icy-ribbon/core/piece/plan';
import { sampleLayers } from '@icy-ribbon/core/piece/stack';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

/** A shape on the support, in mm; drawn by the canvas and written into the picture alike. */
export interface Disk {
  readonly at: Place;
  readonly radiusMm: number;
  readonly colorHex: string;
}
export interface Band {
  readonly places: readonly Place[];
  readonly widthMm: number;
  readonly colorHex: string;
}
export interface Area {
  readonly outline: readonly Place[];
  readonly colorHex: string;
}

/** What is drawn of a plan: all that core says of it, as shapes. */
export interface PlanContext {
  readonly plan: Plan;
  readonly support: SupportSize;
  readonly paints: readonly PlanPaint[];
  readonly blowers: readonly BlowerExit[];
}

/** A ribbon lies about so thick, mm (common practice). */
export const RIBBON_MM = 2;
const STRIPES = 9;
const ROUND_STEPS = 72;

const colorOf = (paints: readonly PlanPaint[], id: string) =>
  paints.find((paint) => paint.id === id)?.colorHex ?? UNKNOWN_PAINT;

/** The base's areas as outlines: one, the two sides of the seam, or wavy bands of a marbled base. */
export function baseShapes({ plan, support, paints }: PlanContext): Area[] {
  const { base } = plan;
  if (!base) return [];
  const colors = base.areas.map((area) => colorOf(paints, area.cupId));
  if (base.pattern === 'split' && base.seam) {
    return seamSides(support, base.seam).map((outline, index) => ({
      outline,
      colorHex: colors[index] ?? UNKNOWN_PAINT,
    }));
  }
  const face: Area = { outline: faceOutline(support), colorHex: colors[0] ?? UNKNOWN_PAINT };
  return base.pattern === 'marbled' ? [face, ...marbling(support, colors)] : [face];
}

export function faceOutline(support: SupportSize): Place[] {
  const { widthMm, heightMm } = support;
  if (support.shape === 'round') {
    const radius = widthMm / 2;
    return Array.from({ length: ROUND_STEPS }, (_, index) => {
      const angle = (index / ROUND_STEPS) * 2 * Math.PI;
      return { x: radius + radius * Math.cos(angle), y: radius + radius * Math.sin(angle) };
    });
  }
  return [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ];
}

/** Wavy bands across the face, each second one of another base. */
function marbling({ widthMm, heightMm }: SupportSize, colors: readonly string[]): Area[] {
  const step = heightMm / STRIPES;
  const wave = (x: number, row: number) =>
    row * step + step * 0.45 * Math.sin((x / widthMm) * 9 + row * 2.1) * Math.cos(row * 1.3 + x / widthMm);
  return Array.from({ length: STRIPES }, (_, row): Area => {
    const xs = Array.from({ length: 25 }, (__, index) => (index / 24) * widthMm);
    return {
      outline: [
        ...xs.map((x) => ({ x, y: wave(x, row) })),
        ...xs.toReversed().map((x) => ({ x, y: wave(x, row + 0.55) })),
      ],
      colorHex: colors[1 + (row % Math.max(1, colors.length - 1))] ?? colors[0] ?? UNKNOWN_PAINT,
    };
  });
}

/** The puddles of a stack from the bottom up, each as wide as it has spread; upper ones lie inside. */
export function stackDisks({ plan, paints, blowers }: PlanContext, stack: PlanStack): Disk[] {
  const known = stack.layers.every((layer) => paints.some((paint) => paint.id === layer.cupId));
  if (!known || stack.layers.length === 0) return [];
  let widest = Number.POSITIVE_INFINITY;
  return sampleLayers(plan, givenLayers(stack, paints), paints, { blowers, moment: 'poured' }).map(
    ({ paint, radiusMm }) => {
      widest = Math.min(radiusMm, widest * 0.93);
      return { at: stack.at, radiusMm: widest, colorHex: paint.colorHex };
    },
  );
}

/** A stack without the layers that are still to be given their grams. */
function givenLayers(stack: PlanStack, paints: readonly PlanPaint[]): PlanStack {
  const layers = stack.layers.filter((layer) => layer.massG !== null || takes(paints, layer.cupId));
  return { ...stack, layers };
}

const takes = (paints: readonly PlanPaint[], id: string): boolean => {
  const role = paints.find((paint) => paint.id === id)?.role;
  return role === 'pillow' || role === 'activator';
};

/** The colors of a path as bands side by side, as wide as their grams make them at 2 mm. */
export function pathBands({ paints }: PlanContext, path: PlanPath): Band[] {
  const places = curvePlaces(path, 24);
  const length = Math.max(1, lengthMm(places));
  const widths = path.layers.map((layer) => {
    const density = paints.find((paint) => paint.id === layer.cupId)?.densityGPerMl ?? 1.1;
    return Math.max(1.5, ((layer.massG ?? 0) / density) * (1000 / (length * RIBBON_MM)));
  });
  const total = widths.reduce((sum, width) => sum + width, 0);
  let from = -total / 2;
  return path.layers.map((layer, index) => {
    const width = widths[index]!;
    const offset = from + width / 2;
    from += width;
    return {
      places: aside(places, offset),
      widthMm: width * 1.06,
      colorHex: colorOf(paints, layer.cupId),
    };
  });
}

/** A line moved sideways by so many mm. */
function aside(places: readonly Place[], offset: number): Place[] {
  return places.map((place, index) => {
    const before = places[Math.max(0, index - 1)]!;
    const after = places[Math.min(places.length - 1, index + 1)]!;
    const length = distanceMm(before, after) || 1;
    return {
      x: place.x - ((after.y - before.y) / length) * offset,
      y: place.y + ((after.x - before.x) / length) * offset,
    };
  });
}

/** How far a pass carries the top of the paint; over bare base, of a film of 1 mm. */
export function reachMm({ plan, paints, blowers }: PlanContext, pass: PlanPass): number {
  const stack = plan.stacks.find((each) => distanceMm(each.at, pass.at) <= each.footprintMm / 2);
  const layers =
    stack && stack.layers.every((layer) => paints.some((paint) => paint.id === layer.cupId))
      ? sampleLayers(plan, givenLayers(stack, paints), paints, { blowers, moment: 'blown' }).map(
          ({ paint, thicknessMm }) => ({ thicknessMm, viscosityPaS: paint.viscosityPaS }),
        )
      : [
          {
            thicknessMm: 1,
            viscosityPaS: paints.find((paint) => paint.role === 'base')?.viscosityPaS ?? 0.6,
          },
        ];
  return carriedMm(pass, blowers, layers);
}

const SHORTEST_MM = 22;

/** Where a pass's arrow ends: as far as it carries the paint, but long enough to be seen and held. */
export function tipOf(context: PlanContext, pass: PlanPass): Place {
  const angle = (pass.directionDeg * Math.PI) / 180;
  const length = Math.max(SHORTEST_MM, reachMm(context, pass));
  return { x: pass.at.x + length * Math.sin(angle), y: pass.at.y - length * Math.cos(angle) };
}

/** "Stack 1", "Ribbon 2", "Pass 3": what an item is called on the screen. */
export function itemName(plan: Plan, id: string): string {
  const stack = plan.stacks.findIndex((each) => each.id === id);
  if (stack >= 0) return `Stack ${stack + 1}`;
  const path = plan.paths.findIndex((each) => each.id === id);
  if (path >= 0) return `${PATH_LABELS[plan.paths[path]!.kind]} ${path + 1}`;
  const pass = plan.passes.findIndex((each) => each.id === id);
  return pass >= 0 ? `Pass ${pass + 1}, ${airTool(plan.passes[pass]!.tool).label.toLowerCase()}` : '';
}

export const PATH_LABELS: Readonly<Record<PlanPath['kind'], string>> = {
  ribbon: 'Ribbon',
  line: 'Line',
  crescent: 'Crescent',
  flood: 'Flood',
};

/** Ink that can be read on a color. */
export function inkOn(hex: string): string {
  const value = Number.parseInt(hex.slice(1), 16);
  const light = 0.299 * (value >> 16) + 0.587 * ((value >> 8) & 255) + 0.114 * (value & 255);
  return light > 140 ? LIGHT.ink : LIGHT.onWater;
}
