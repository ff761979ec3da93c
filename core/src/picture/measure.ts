import { adaptSeeds } from './adapt.ts';
import { clustersOf } from './clusters.ts';
import { certainCells } from './certain.ts';
import { foreignOf } from './foreign.ts';
import { grown } from './raster.ts';
import { cellsOf, CELL_RULES, type Cell } from './cells.ts';
import { componentsOf, despeckle } from './components.ts';
import { labelsOf } from './edges.ts';
import { fillUnseen, type Labels } from './labels.ts';
import { keepStrokes } from './strokes.ts';
import { glareOf } from './glare.ts';
import { groundOf, refineSeeds } from './label.ts';
import { cellsFrom, type CellsFrom } from './cellsFrom.ts';
import { lacingOf } from './lacing.ts';
import { findLight, flatten, gainAt, type Light } from './light.ts';
import { mudOf } from './mud.ts';
import { flowerMask, paintOf, petalsOf, type FlowerMask, type Petals } from './petals/index.ts';
import type { MeasureInput, PaletteColor, PhotoPixels } from './photo.ts';
import { quantile } from './quantile.ts';
import { patchColor, rectify, type Face } from './rectify.ts';
import { fromRgb, nearestSeed, paletteOf, seedsOf, type Nearest, type Seeds } from './seeds.ts';
import { shapesOf } from './shape.ts';
import { blurOf, warningsOf, type PhotoWarning, type Quality } from './warnings.ts';

export interface Measured {
  /** Share of the face that shows each color of the palette, 0 to 1, by name; mud is apart. */
  readonly shares: Readonly<Record<string, number>>;
  /** Name of the base in the palette. */
  readonly base: string;
  /** Share of the face that shows the base. */
  readonly negativeSpace: number;
  readonly mud: number;
  readonly cells: {
    readonly count: number;
    readonly medianMm: number;
    readonly p10Mm: number;
    readonly p90Mm: number;
    /** On a square centimeter of the face. */
    readonly perCm2: number;
    /** The smallest that this photo could show; sizes are 0 where too few are surely cells. */
    readonly leastMm: number;
    /** The same of the cells from some sizes on, for comparing photos that show more with those that show less. */
    readonly from: readonly CellsFrom[];
    readonly list: readonly Cell[];
  };
  readonly lacing: { readonly areaShare: number; readonly widthMm: number };
  readonly petals: Petals;
  readonly warnings: readonly PhotoWarning[];
  readonly quality: Quality;
  /** The colors as they were found. */
  readonly palette: readonly PaletteColor[];
  readonly light: Light;
  /** How bright the gray card would be under the light that was found, linear; null without a card. */
  readonly cardLevel: number | null;
  readonly picture: MeasuredPicture;
}

/** What was seen where, for overlays and for comparing photos. */
export interface MeasuredPicture {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** Number of the color of each pixel; one more than the last color is mud. */
  readonly labels: Uint8Array;
  readonly glare: Uint8Array;
  readonly net: Uint8Array;
  /** Linear light of each pixel, white balanced and flattened. */
  readonly rgb: Float32Array;
}

/** The steps of measuring, in order, with the share of the work that is done when each begins. */
export const MEASURE_STEPS = {
  rectify: 0,
  light: 0.25,
  colors: 0.35,
  edges: 0.5,
  cells: 0.75,
  lacing: 0.85,
} as const;
export type MeasureStep = keyof typeof MEASURE_STEPS;

const DESPECKLE_MM = 0.35;
/** Smaller than this many pixels of the photo, a cell cannot be told from noise. */
const LEAST_CELL_PX = 4;
/** A color that ends with less of the face than this was not found. */
const LOST_SHARE = 0.002;
const DRIFT = 0.07;
/** Of a face that is hidden but for less, nothing is made up. */
const LEAST_IN_VIEW = 0.5;
const STRANGE = 0.07;

/**
 * Measures a photo of a poured piece: how much of each color, cells, lacing, mud, petals, and what the
 * photo itself is worth. The order of the steps is that of the folder's files.
 *
 * @param onStep told before each step, for showing progress
 * @throws InputError naming the corners, the palette, the base or the activator
 */
export function measurePhoto(
  photo: PhotoPixels,
  input: MeasureInput,
  onStep: (step: MeasureStep) => void = () => {},
): Measured {
  const given = seedsOf(input);
  onStep('rectify');
  const face = rectify(photo, input);
  onStep('light');
  const card = cardMean(photo, input);
  const { light, ground, adapted } = litFace(face, given, card?.gains);
  onStep('colors');
  const seeds = refineSeeds(face, ground, adapted.seeds, DRIFT);
  const glare = glareOf(face, ground, seeds);
  const foreign = foreignOf(face, ground, seeds, glare);
  const unseen = glare.map((value, pixel) => value | foreign[pixel]!);
  const mud = mudOf(face, ground, seeds, unseen);
  onStep('edges');
  const withMud = mud.rgb ? addSeed(seeds, 'mud', mud.rgb) : seeds;
  const mudLabel = seeds.names.length;
  const labels = labelsOf(face, ground, withMud, mud.rgb && mud.mask, unseen);
  const { width, height, pxPerMm } = face;
  const labelCount = mudLabel + 1;
  keepStrokes(labels, seeds.activator >= 0 ? seeds.activator : seeds.base, width, height);
  fillUnseen(labels, unseen, width, height);
  despeckle(labels.first, width, height, (Math.PI / 4) * (DESPECKLE_MM * pxPerMm) ** 2, labelCount);
  onStep('cells');
  const patches = componentsOf(labels.first, width, height);
  const blocked = unseen.map((value, pixel) => (value || !face.onFace[pixel] ? 1 : 0));
  const shapes = shapesOf(patches, labels, width, height, labelCount, blocked);
  const leastMm = Math.max(input.minCellMm ?? CELL_RULES.leastMm, LEAST_CELL_PX / face.photoPxPerMm);
  const found = cellsOf(patches, shapes, {
    width,
    height,
    pxPerMm,
    labelCount,
    never: new Set([seeds.base, mudLabel]),
    split: true,
    rules: {
      ...CELL_RULES,
      leastMm,
    },
  });
  const { cells, isSized } = certainCells(found, seeds.activator);
  onStep('lacing');
  // Without an activator it is the base, pushed over the colors, that makes the net.
  const lacing = lacingOf(
    labels,
    seeds.activator >= 0 ? seeds.activator : seeds.base,
    width,
    height,
    pxPerMm,
  );
  const sums = coverSums(labels, labelCount, face.onFace);
  const faceMm2 = area(face) / pxPerMm ** 2;
  const diameters = cells.map((cell) => cell.diameterMm).sort((a, b) => a - b);
  const usualMm = quantile(diameters, 0.5);
  // What lies under a highlight or a hand was not seen: as many cells to the area as elsewhere.
  const paint = paintOf(labels, seeds, cells, face);
  const inView = shareInView(unseen, paint, (usualMm / 2) * pxPerMm);
  const perCm2 = (count: number) => (100 * count) / (faceMm2 * inView);
  const flower = flowerMask(paint);
  const quality: Quality = {
    blurPx: (blurOf(labels, face, unseen) * face.photoPxPerMm) / pxPerMm,
    glareShare: shareOf(glare, face.onFace),
    foreignShare: shareOf(foreign, face.onFace),
    mudShare: sums.share(mudLabel),
    baseShare: sums.share(seeds.base),
    colors: seeds.names.length,
    lost: seeds.names.filter((_, index) => sums.share(index) < LOST_SHARE),
    asked: adapted.asked,
    strangeShare: strangeShare(face, ground.lab, ground.core, withMud, unseen),
    pxPerCell: isSized ? usualMm * face.photoPxPerMm : null,
    lightRatio: lightRatio(light),
  };
  return {
    shares: Object.fromEntries(seeds.names.map((name, index) => [name, sums.share(index)])),
    base: input.base,
    negativeSpace: sums.share(seeds.base),
    mud: sums.share(mudLabel),
    cells: {
      count: Math.round(cells.length / inView),
      medianMm: isSized ? usualMm : 0,
      p10Mm: isSized ? quantile(diameters, 0.1) : 0,
      p90Mm: isSized ? quantile(diameters, 0.9) : 0,
      perCm2: perCm2(cells.length),
      leastMm,
      from: isSized ? cellsFrom(diameters, leastMm, perCm2) : [],
      list: cells,
    },
    lacing: {
      areaShare: lacing.areaPx / area(face),
      widthMm: lacing.lengthPx > 0 ? lacing.areaPx / lacing.lengthPx / pxPerMm : 0,
    },
    petals: petalsOf(flower),
    warnings: warningsOf(quality),
    quality,
    palette: paletteOf(seeds),
    light,
    cardLevel: card ? card.mean * gainAt(light.field, card.x, card.y) : null,
    picture: { width, height, pxPerMm, labels: labels.first, glare, net: lacing.mask, rgb: face.rgb },
  };
}

/**
 * The face under even light, and the palette as the picture has it. Light that was found by colors that are off is
 * found once more by those of the picture.
 */
function litFace(face: Face, given: Seeds, gains: Light['gains'] | undefined) {
  const first = findLight(face, given, gains);
  flatten(face, first);
  const ground = groundOf(face);
  const adapted = adaptSeeds(given, clustersOf(face, ground));
  if (adapted.seeds === given) return { light: first, ground, adapted };
  const rest = findLight(face, adapted.seeds, [1, 1, 1]);
  flatten(face, rest);
  const lit = groundOf(face);
  const light = { gains: first.gains, field: first.field.map((value, at) => value + rest.field[at]!) };
  return { light, ground: lit, adapted: adaptSeeds(given, clustersOf(face, lit)) };
}

/** The gray card as the photo shows it: its mean, the gains that make it gray, and where it lies, as -1 to 1. */
function cardMean(photo: PhotoPixels, input: MeasureInput) {
  const { grayPatchMm, widthMm, heightMm } = input;
  const gray = grayPatchMm && patchColor(photo, input, grayPatchMm);
  if (!gray) return undefined;
  const [left, top, right, bottom] = grayPatchMm;
  const mean = (gray[0] + gray[1] + gray[2]) / 3;
  return {
    mean,
    gains: gray.map((value) => mean / Math.max(1e-3, value)) as [number, number, number],
    x: (left + right) / widthMm - 1,
    y: (top + bottom) / heightMm - 1,
  };
}

function addSeed(seeds: Seeds, name: string, rgb: readonly [number, number, number]): Seeds {
  return fromRgb(
    [...seeds.names, name],
    Float32Array.from([...seeds.rgb, ...rgb]),
    seeds.base,
    seeds.activator,
  );
}

/** Share of the painted face where a cell of this radius, in pixels, would have been seen whole. */
function shareInView(unseen: Uint8Array, { covered, width, height }: FlowerMask, radius: number): number {
  if (!unseen.includes(1)) return 1;
  return Math.max(LEAST_IN_VIEW, 1 - shareOf(grown(unseen, width, height, radius), covered));
}

function area(face: Face): number {
  let count = 0;
  for (const value of face.onFace) count += value;
  return count;
}

/** How much of the face each label covers, edge pixels shared out; what was not seen as the nearest that was. */
function coverSums(labels: Labels, labelCount: number, onFace: Uint8Array) {
  const sums = new Float64Array(labelCount);
  let seen = 0;
  const { first, second, cover } = labels;
  for (let pixel = 0; pixel < first.length; pixel += 1) {
    if (!onFace[pixel]) continue;
    seen += 1;
    const share = cover[pixel]! / 255;
    sums[first[pixel]!]! += share;
    if (share < 1) sums[second[pixel]!]! += 1 - share;
  }
  return { share: (label: number) => (seen > 0 ? sums[label]! / seen : 0) };
}

function shareOf(mask: Uint8Array, onFace: Uint8Array): number {
  let hit = 0;
  let all = 0;
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    all += onFace[pixel]!;
    hit += mask[pixel]! & onFace[pixel]!;
  }
  return all > 0 ? hit / all : 0;
}

/** Of the smooth places, those far from every color and from mud. */
function strangeShare(
  face: Face,
  lab: Float32Array,
  core: Uint8Array,
  seeds: Seeds,
  glare: Uint8Array,
): number {
  const nearest: Nearest = { seed: 0, squared: 0 };
  let strange = 0;
  let all = 0;
  for (let pixel = 0; pixel < core.length; pixel += 7) {
    if (!core[pixel] || glare[pixel] || !face.onFace[pixel]) continue;
    all += 1;
    nearestSeed(seeds, lab[3 * pixel]!, lab[3 * pixel + 1]!, lab[3 * pixel + 2]!, nearest);
    if (nearest.squared > STRANGE * STRANGE) strange += 1;
  }
  return all > 0 ? strange / all : 0;
}

function lightRatio({ field }: Light): number {
  let least = Infinity;
  let most = 0;
  for (const x of [-1, -0.5, 0, 0.5, 1]) {
    for (const y of [-1, -0.5, 0, 0.5, 1]) {
      const gain = gainAt(field, x, y);
      least = Math.min(least, gain);
      most = Math.max(most, gain);
    }
  }
  return most / least;
}
