import { InputError } from '../../base/error/index.ts';
import { coatOf, laidFace, type LaidFace } from '../coat/index.ts';
import { componentsOf } from '../components.ts';
import { hexDistance, linearRgb } from '../../paint/color/oklab.ts';
import type { MeasureInput, PhotoPixels } from '../photo.ts';
import { opened } from '../raster.ts';
import { rectify } from '../rectify.ts';

export interface CoverInput extends Pick<MeasureInput, 'corners' | 'widthMm' | 'heightMm' | 'shape'> {
  /** The base that was spread, and what it was spread on, as #rrggbb. */
  readonly coatHex: string;
  readonly groundHex: string;
}

/** A place that the base coat has not reached. */
export interface BareSpot {
  /** Its middle, as shares of the face's width and height. */
  readonly x: number;
  readonly y: number;
  readonly areaMm2: number;
}

export const COVER_WARNINGS = ['mostly-bare', 'glare', 'soft'] as const;

export interface CoverWarning {
  readonly code: (typeof COVER_WARNINGS)[number];
  readonly message: string;
}

export interface Cover {
  /** Share of what was seen of the face, 0 to 1, and one standard deviation of it. */
  readonly bareShare: number;
  readonly bareSd: number;
  /** Share where the ground shimmers through. */
  readonly thinShare: number;
  /** Share of the face that highlights hide. */
  readonly hiddenShare: number;
  /** The largest first. */
  readonly spots: readonly BareSpot[];
  /** What each pixel of the face is, row by row: 0 covered, 1 bare, 2 thin, 3 hidden. */
  readonly marks: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly warnings: readonly CoverWarning[];
}

/** Finer than this no spot is looked for. */
const MOST_PX_PER_MM = 4;
const SOFT_PX = 1.5;
/** Coat and ground closer than this in OKLab cannot be told apart. */
const ALIKE = 0.09;
/** No paint is blacker than this in a picture: lenses spread light. */
const BLACKEST = 0.006;
/** From one half of the way from coat to ground on a place is bare, from this on it is thin; farther aside it is something else. */
const HALF = 0.5;
const THIN = 0.2;
const ASIDE = 0.5;
/** The ground is looked for from this share of the expected way on, and lies no farther than that. */
const SEARCH = 0.25;
const MOST_WAY = 1.6;
/** Lenses spread this share of full light, which makes dark coats lighter; what else brings the ground nearer, as a share. */
const FLARE = 0.0025;
const NEARER = 0.85;
/** The ground is what at least so much lies as far as, mm2. */
const GROUND_MM2 = 1.5;
/** Smaller spots are dust and noise, mm2; thin places are wider than this, mm, and at least so large, mm2. */
const LEAST_MM2 = 0.8;
const THIN_MM = 1.2;
const THIN_MM2 = 20;
const RIM_MM = 0.9;
/** The edge of a spot is read as exactly as this, mm. */
const EDGE_MM = 0.12;
const MOST_SPOTS = 200;
const MUCH_HIDDEN = 0.03;
/** More than this share of the face has to be of the other color before the coat is taken for the ground. */
const LEAST_TURNED = 0.008;

/**
 * How much of a face a base coat covers, from one picture of it.
 *
 * Law: the coat's light is a smooth surface through most of what is seen; every place is told by how far it lies on the way from the coat's color to the ground's,
 * in linear light, from one half on bare. Their ratio is all that is asked, so that the color of the lamp does not matter.
 *
 * @throws InputError (field "groundHex", "photo" or "corners") when the picture does not carry it, with what to do instead
 */
export function coverOf(photo: PhotoPixels, input: CoverInput): Cover {
  const { coatHex, groundHex } = input;
  if (hexDistance(coatHex, groundHex) < ALIKE) {
    throw new InputError(
      'groundHex',
      'The base has nearly the color of the bare ground: no picture tells them apart. Look along the face against the light: wet paint shines, bare ground is dull.',
    );
  }
  const face = rectify(photo, input, MOST_PX_PER_MM);
  const laid = laidFace(face, coatOf(face));
  const coat = linearRgb(coatHex).map((value) => Math.max(BLACKEST, value));
  const ground = linearRgb(groundHex).map((value) => Math.max(BLACKEST, value));
  const looked = inside(face.onFace, laid);
  const bare = sharesOf(laid, coat, ground, looked);
  const turned = sharesOf(laid, ground, coat, looked);
  const count = (shares: Float32Array) => shares.reduce((sum, share) => sum + Number(share > HALF), 0);
  const all = looked.reduce((sum, value) => sum + value, 0);
  const seen = all - hiddenIn(laid, looked);
  const warnings: CoverWarning[] = [];
  if (face.photoPxPerMm < SOFT_PX) {
    warnings.push({ code: 'soft', message: 'The face is small in this picture: go closer for small spots.' });
  }
  const hiddenShare = 1 - seen / all;
  if (hiddenShare > MUCH_HIDDEN) {
    warnings.push({
      code: 'glare',
      message: `${(100 * hiddenShare).toFixed(0)} % of the face is too bright to tell paint from ground: move the lamp, or take it darker.`,
    });
  }
  // Where more is seen of the other color, the coat that was found is the ground.
  if (count(turned) > Math.max(2 * count(bare), LEAST_TURNED * seen)) {
    const covered = count(turned) / seen;
    return {
      ...{ bareShare: 1 - covered, bareSd: 0.05, thinShare: 0, hiddenShare, spots: [] },
      ...{ marks: new Uint8Array(bare.length), width: face.width, height: face.height },
      warnings: [
        ...warnings,
        { code: 'mostly-bare', message: 'Most of the face is still bare: spread the base, then look again.' },
      ],
    };
  }
  const marks = marksOf(bare, laid, looked);
  const { spots, edgePx } = spotsOf(marks, laid);
  const bareMm2 = spots.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const seenMm2 = seen / laid.pxPerMm ** 2;
  return {
    bareShare: bareMm2 / seenMm2,
    bareSd: ((edgePx / laid.pxPerMm) * EDGE_MM) / seenMm2,
    thinShare: marks.reduce((sum, mark) => sum + Number(mark === 2), 0) / seen,
    hiddenShare,
    spots: spots.slice(0, MOST_SPOTS),
    marks,
    width: face.width,
    height: face.height,
    warnings,
  };
}

/** 1 on the face, its rim left out: corners are never found to the pixel. */
function inside(onFace: Uint8Array, { width, height, pxPerMm }: LaidFace): Uint8Array {
  const rim = Math.ceil(RIM_MM * pxPerMm);
  const out = new Uint8Array(onFace.length);
  for (let y = rim; y < height - rim; y += 1) {
    for (let x = rim; x < width - rim; x += 1) {
      const at = y * width + x;
      const within =
        onFace[at - rim]! & onFace[at + rim]! & onFace[at - rim * width]! & onFace[at + rim * width]!;
      out[at] = onFace[at]! & within;
    }
  }
  return out;
}

const hiddenIn = ({ nearGlare }: LaidFace, looked: Uint8Array): number =>
  looked.reduce((sum, value, at) => sum + (value & nearGlare[at]!), 0);

/** How far each pixel lies on the way from one color to another, where that other is found in the picture; 0 of anything else. */
function sharesOf(
  laid: LaidFace,
  from: readonly number[],
  to: readonly number[],
  looked: Uint8Array,
): Float32Array {
  const { ratio, nearGlare, width, height, pxPerMm } = laid;
  const wayWith = (flare: number) =>
    to.map((value, channel) => (value + flare) / (from[channel]! + flare) - 1) as [number, number, number];
  const [r, g, b] = wayWith(0);
  const square = r * r + g * g + b * b;
  const flared = wayWith(FLARE);
  const leastWay = (NEARER * (flared[0] * r + flared[1] * g + flared[2] * b)) / square;
  const out = new Float32Array(looked.length);
  for (let at = 0; at < looked.length; at += 1) {
    if (!looked[at] || nearGlare[at]) continue;
    const [x, y, z] = [ratio[3 * at]! - 1, ratio[3 * at + 1]! - 1, ratio[3 * at + 2]! - 1];
    const share = (x * r + y * g + z * b) / square;
    if (share <= 0) continue;
    const aside = x * x + y * y + z * z - share * share * square;
    if (aside < ASIDE ** 2 * square * share * share || aside < 0.01) out[at] = share;
  }
  // Lenses, lamps and dry paint make the ground lie nearer or farther than by the two colors alone.
  const far = out.map((share) => (share > SEARCH ? 1 : 0)) as unknown as Uint8Array;
  const core = opened(Uint8Array.from(far), width, height, 0.4 * pxPerMm);
  const found = [...out.filter((_, at) => core[at] === 1)].sort((a, c) => c - a);
  const farthest = found[Math.round(GROUND_MM2 * pxPerMm ** 2)];
  if (farthest === undefined) return out;
  const own = Math.min(MOST_WAY, Math.max(leastWay, farthest));
  return out.map((share) => share / own);
}

function marksOf(shares: Float32Array, laid: LaidFace, looked: Uint8Array): Uint8Array {
  const { width, height, pxPerMm, nearGlare } = laid;
  const thin = opened(
    Uint8Array.from(shares, (share) => (share > THIN ? 1 : 0)),
    width,
    height,
    (THIN_MM / 2) * pxPerMm,
  );
  const patches = componentsOf(
    Uint8Array.from(shares, (share, at) => (thin[at] && share <= HALF ? 1 : 0)),
    width,
    height,
  );
  return Uint8Array.from(shares, (share, at) => {
    if (!looked[at]) return 0;
    if (nearGlare[at]) return 3;
    if (share > HALF) return 1;
    const patch = patches.of[at]!;
    return patches.label[patch] === 1 && patches.area[patch]! > THIN_MM2 * pxPerMm ** 2 ? 2 : 0;
  });
}

/** Spots of bare ground, the largest first; what is smaller than counts is taken out of the marks. */
function spotsOf(
  marks: Uint8Array,
  { width, height, pxPerMm }: LaidFace,
): { readonly spots: BareSpot[]; readonly edgePx: number } {
  const { of, label, area, count } = componentsOf(
    Uint8Array.from(marks, (mark) => (mark === 1 ? 1 : 0)),
    width,
    height,
  );
  const least = LEAST_MM2 * pxPerMm ** 2;
  const sums = Array.from({ length: count }, () => ({ x: 0, y: 0 }));
  let edgePx = 0;
  for (let at = 0; at < of.length; at += 1) {
    const patch = of[at]!;
    if (label[patch] !== 1) continue;
    if (area[patch]! < least) {
      marks[at] = 0;
      continue;
    }
    const [x, y] = [at % width, Math.floor(at / width)];
    sums[patch]!.x += x + 0.5;
    sums[patch]!.y += y + 0.5;
    if (of[at - 1] !== patch || of[at + 1] !== patch || of[at - width] !== patch || of[at + width] !== patch)
      edgePx += 1;
  }
  const spots = sums.flatMap(({ x, y }, patch) => {
    const pixels = area[patch]!;
    return label[patch] === 1 && pixels >= least
      ? [{ x: x / pixels / width, y: y / pixels / height, areaMm2: pixels / pxPerMm ** 2 }]
      : [];
  });
  return { spots: spots.sort((a, b) => b.areaMm2 - a.areaMm2), edgePx };
}
