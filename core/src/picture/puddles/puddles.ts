import { mean, sampleStandardDeviation } from 'simple-statistics';
import { InputError } from '../../base/error/index.ts';
import { coatOf, laidFace } from '../coat/index.ts';
import type { MeasureInput, PhotoPixels } from '../photo.ts';
import { median } from '../quantile.ts';
import { rectify } from '../rectify.ts';
import { orderOf } from './order.ts';
import { patchesOn } from './patches.ts';

export type PuddlesInput = Pick<MeasureInput, 'corners' | 'widthMm' | 'heightMm' | 'shape'>;

/** A small stack of paint on the base, before it is blown. */
export interface Puddle {
  /** Its middle, mm from the face's top left corner. */
  readonly x: number;
  readonly y: number;
  /** Of a disc as large, and one standard deviation of it. */
  readonly diameterMm: number;
  readonly sdMm: number;
  /** From its edge to that of the next; null of the last in a row. */
  readonly gapMm: number | null;
}

export const PUDDLE_WARNINGS = ['touch', 'glare', 'soft'] as const;

export interface PuddleWarning {
  readonly code: (typeof PUDDLE_WARNINGS)[number];
  readonly message: string;
}

export interface Puddles {
  readonly shape: 'row' | 'ring';
  /** As they follow each other. */
  readonly puddles: readonly Puddle[];
  /** Standard deviation over mean, of diameters and of gaps; null with fewer than two. */
  readonly sizeSpread: number | null;
  readonly gapSpread: number | null;
  /** Numbers of puddles, from 0, that are larger or smaller than the middle one beyond a usual hand. */
  readonly odd: readonly number[];
  readonly warnings: readonly PuddleWarning[];
}

const MOST_PX_PER_MM = 3;
const SOFT_PX = 1.5;
/** Smaller patches are splashes, mm2. */
const LEAST_MM2 = 20;
const MOST_PUDDLES = 60;
/** A patch that is so much longer than wide is several that touch. */
const LONG = 1.55;
/** A usual hand keeps diameters within this of each other. Common practice, no published source. */
const ODD = 0.15;
/** An edge is read as exactly as this: pixels of the photo, and the shadow beside it, mm. */
const EDGE_PX = 0.35;
const EDGE_MM = 0.1;
const MUCH_HIDDEN = 0.15;

/**
 * How even a row or a ring of small stacks is, from one picture of the face before it is blown.
 *
 * Law: what differs from the coat's own light is paint; a puddle is as wide as a disc of its area; gaps are from edge to edge.
 *
 * @throws InputError (field "photo") when fewer than two can be told from the base
 */
export function puddlesOn(photo: PhotoPixels, input: PuddlesInput): Puddles {
  const face = rectify(photo, input, MOST_PX_PER_MM);
  const laid = laidFace(face, coatOf(face));
  const { pxPerMm } = laid;
  const patches = patchesOn(laid, face.onFace, LEAST_MM2);
  if (patches.length < 2 || patches.length > MOST_PUDDLES) {
    throw new InputError(
      'photo',
      patches.length < 2
        ? 'Fewer than two puddles can be told from the base: they touch all around, or have its color. Take it from above in even light, before they meet and before anything is blown.'
        : 'There are too many patches on the base to be puddles: take it before anything is blown.',
    );
  }
  const { shape, order } = orderOf(patches);
  const round = order.map((index) => {
    const { x, y, pixels } = patches[index]!;
    return { x: x / pxPerMm, y: y / pxPerMm, diameterMm: (2 * Math.sqrt(pixels / Math.PI)) / pxPerMm };
  });
  const sdMm = Math.hypot((2 * EDGE_PX) / face.photoPxPerMm, EDGE_MM);
  const puddles = round.map((puddle, at): Puddle => {
    const next = round[at + 1] ?? (shape === 'ring' ? round[0] : undefined);
    const gapMm = next
      ? Math.max(
          0,
          Math.hypot(next.x - puddle.x, next.y - puddle.y) - (next.diameterMm + puddle.diameterMm) / 2,
        )
      : null;
    return { ...puddle, sdMm, gapMm };
  });
  const diameters = puddles.map(({ diameterMm }) => diameterMm);
  const usual = median(diameters);
  const warnings: PuddleWarning[] = [];
  if (patches.some(({ aspect }) => aspect > LONG)) {
    warnings.push({
      code: 'touch',
      message: 'Some puddles touch: what touches counts as one.',
    });
  }
  if (patches.some(({ hidden }) => hidden > MUCH_HIDDEN)) {
    warnings.push({
      code: 'glare',
      message: 'Light shines back from some puddles: move the lamp and take it again for surer sizes.',
    });
  }
  if (face.photoPxPerMm < SOFT_PX) {
    warnings.push({ code: 'soft', message: 'The face is small in this picture: go closer for surer sizes.' });
  }
  return {
    ...{ shape, puddles, warnings },
    sizeSpread: spreadOf(diameters),
    gapSpread: spreadOf(puddles.flatMap(({ gapMm }) => gapMm ?? [])),
    odd: diameters.flatMap((diameter, at) => (Math.abs(diameter / usual - 1) > ODD ? [at] : [])),
  };
}

function spreadOf(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const usual = mean([...values]);
  return usual > 0 ? sampleStandardDeviation([...values]) / usual : null;
}
