import { faceSeconds } from './airTime.ts';
import { bentThrough, curveAt } from './curve.ts';
import { usualBaseG } from './layoutBase.ts';
import { firstOf, pathOf, roundG, type LayoutParts } from './layoutParts.ts';
import { usualPass } from './passes.ts';
import type { Place, Plan, PlanPaint, PlanPath } from './plan.ts';

/** A flood is half of what it carries, and no more than this share of the base: more would be too much base in all. */
const FLOOD_SHARE = { ofColors: 0.5, ofBaseAtMost: 0.5 } as const;
const LEAST_FLOOD_G = 5;

function floodG(parts: LayoutParts, path: PlanPath, base: PlanPaint): number {
  const colorsG = path.layers.reduce((sum, layer) => sum + (layer.massG ?? 0), 0);
  const wanted = FLOOD_SHARE.ofColors * colorsG || LEAST_FLOOD_G;
  return roundG(Math.min(wanted, FLOOD_SHARE.ofBaseAtMost * usualBaseG(parts.support, base)));
}

/** A path blown out with the dryer, and a little base flooded along it first. */
export function sweep(
  parts: LayoutParts,
  path: PlanPath,
  turns: readonly number[],
): Pick<Plan, 'paths' | 'passes'> {
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
              cupId: base.id,
              massG: floodG(parts, path, base),
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

/** What is drawn over the colors with a card is the smallest of them (common practice). */
const SWIPED_SHARE = 0.4;
const lighter = (path: PlanPath): PlanPath => ({
  ...path,
  layers: path.layers.map((layer) => ({ ...layer, massG: roundG(SWIPED_SHARE * (layer.massG ?? 0)) })),
});

/** Colors in bands over the middle, the paint that is swiped along the upper edge. */
export function swipedAcross(parts: LayoutParts): PlanPath[] {
  const { widthMm, heightMm } = parts.support;
  const line = (y: number) => ({ start: { x: 0.15 * widthMm, y }, end: { x: 0.85 * widthMm, y } });
  const straight = (kind: PlanPath['kind'], y: number, paints: readonly PlanPaint[]): PlanPath => {
    const { start, end } = line(y);
    return pathOf({ ...parts, paints }, kind, start, end, { x: widthMm / 2, y });
  };
  const colors = parts.paints.filter(({ role }) => role === 'color');
  const swiped = parts.paints.filter(({ role }) => role === 'swipe' || role === 'activator');
  return [
    ...(colors.length > 0 ? [straight('ribbon', 0.5 * heightMm, colors)] : []),
    ...(swiped.length > 0 ? [lighter(straight('line', 0.18 * heightMm, swiped))] : []),
  ];
}

const RAYS = 6;

/** Ribbons that run out from one place, each blown along itself. */
export function rays(
  parts: LayoutParts,
  from: Place,
  length: number,
  { fromDeg, toDeg }: { readonly fromDeg: number; readonly toDeg: number },
): Pick<Plan, 'paths' | 'passes'> {
  const isRound = toDeg - fromDeg >= 360;
  const step = (toDeg - fromDeg) / (isRound ? RAYS : RAYS - 1);
  const turns = Array.from({ length: RAYS }, (_, index) => fromDeg + index * step);
  const out = (deg: number, mm: number): Place => ({
    x: from.x + mm * Math.sin((deg * Math.PI) / 180),
    y: from.y - mm * Math.cos((deg * Math.PI) / 180),
  });
  const tool = parts.tool ?? 'hair-dryer';
  const seconds = faceSeconds(parts.support, RAYS);
  return {
    paths: turns.map((deg) => {
      const [start, end] = [out(deg, 0.18 * length), out(deg, length)];
      return pathOf(parts, 'ribbon', start, end, out(deg, 0.6 * length));
    }),
    passes: turns.map((deg) => usualPass(parts.newId(), tool, out(deg, 0.3 * length), deg, seconds)),
  };
}

/** Four bent lines end to end, blown outward all round. */
export function ring(parts: LayoutParts, center: Place, radius: number): Pick<Plan, 'paths' | 'passes'> {
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
