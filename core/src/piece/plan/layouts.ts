import type { AirTool } from '../../flow/air/index.ts';
import { meanFilmLeftMm } from '../../flow/film/index.ts';
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
  type BaseFilm,
  type Place,
  type Plan,
  type PlanBase,
  type PlanLayer,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
  type PlanSettings,
  type PlanStack,
  type StackWay,
} from './plan.ts';

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

const LAID: readonly PlanPaint['role'][] = ['color', 'swipe', 'activator'];
/** What is laid along a line; the activator of a bloom stands on its pile only. */
const colorsOf = ({ paints, technique }: LayoutParts) =>
  paints.filter(({ role }) => (technique === 'swipe' ? LAID : LAID.slice(0, 2)).includes(role));
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
    film: filmFor(parts.support, paint),
  };
}

/** A base of bloom paint stays on thicker than it should: it is left to run longer (common practice). */
const THICK_BASE_MM = 1.5;
const LEAST_SHARE = 0.65;

function filmFor(support: SupportSize, paint: PlanPaint): BaseFilm {
  const usualMm = meanFilmLeftMm({
    viscosityPaS: paint.viscosityPaS,
    densityKgM3: 1000 * paint.densityGPerMl,
    lengthM: Math.max(support.widthMm, support.heightMm) / 1000,
    ...LIMITS.runOff,
  });
  if (usualMm <= THICK_BASE_MM) return USUAL_FILM;
  const longer = (usualMm / Math.max(THICK_BASE_MM, LEAST_SHARE * usualMm)) ** 2;
  return { kind: 'run-off', ...LIMITS.runOff, seconds: Math.ceil(LIMITS.runOff.seconds * longer) };
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
    film: filmFor(parts.support, one),
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

/** All colors from one cup: poured in rings, or turned over on the support and lifted off. */
function fromOneCup(parts: LayoutParts, way: StackWay, at: Place, footprintMm: number): PlanStack {
  return { ...stackAt(parts, at, footprintMm), way };
}

/** What is drawn over the colors with a card is the smallest of them (common practice). */
const SWIPED_SHARE = 0.4;
const lighter = (path: PlanPath): PlanPath => ({
  ...path,
  layers: path.layers.map((layer) => ({ ...layer, massG: roundG(SWIPED_SHARE * (layer.massG ?? 0)) })),
});

/** Colors in bands over the middle, the paint that is swiped along the upper edge. */
function swipedAcross(parts: LayoutParts): PlanPath[] {
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
function rays(
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
