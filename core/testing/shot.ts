import { gaussian, type Random } from '../src/base/random/index.ts';
import { inverseOf, project, rectangleTo } from '../src/picture/homography.ts';
import { byteOf } from '../src/paint/color/oklab.ts';
import type { Corners, PhotoPixels } from '../src/picture/photo.ts';

/** A highlight on a face, mm. */
export interface Shine {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

export interface Scene {
  readonly widthMm: number;
  readonly heightMm: number;
  /** What lies at a place of the face, mm from its top left corner: linear light. */
  readonly at: (x: number, y: number) => readonly number[];
  readonly shines: readonly Shine[];
  /** Light on the face at its middle; 0.78 when left out. */
  readonly dim?: number;
  /** Pixels of the photo to a millimeter; 3.6 when left out. */
  readonly pxPerMm?: number;
}

export interface Shot {
  readonly photo: PhotoPixels;
  /** Corners as they would be found: not quite where they are. */
  readonly corners: Corners;
}

const MARGIN = 0.16;
const TABLE = [0.05, 0.045, 0.04];
/** Light that a lens spreads over the whole picture, as a share of full light. */
const FLARE = 0.002;

/**
 * A picture of a flat face, taken by hand under a lamp of some color that falls off: perspective, highlights that fade away around their middle, noise.
 * Invented, and another way round than pictures are measured.
 */
export function shot(
  random: Random,
  { widthMm, heightMm, at, shines, dim = 0.78, pxPerMm = 3.6 }: Scene,
): Shot {
  const between = (low: number, high: number) => low + (high - low) * random();
  const [faceX, faceY] = [widthMm * pxPerMm, heightMm * pxPerMm];
  const margin = MARGIN * Math.min(faceX, faceY);
  const [wide, high] = [Math.round(faceX + 2 * margin), Math.round(faceY + 2 * margin)];
  const away = 0.5 * margin;
  const corner = (x: number, y: number) => [x + between(-away, away), y + between(-away, away)] as const;
  const corners: Corners = [
    corner(margin, margin),
    corner(wide - margin, margin),
    corner(wide - margin, high - margin),
    corner(margin, high - margin),
  ];
  const toFace = inverseOf(rectangleTo(corners, widthMm, heightMm));
  const [tiltX, tiltY] = [between(-0.25, 0.25), between(-0.25, 0.25)];
  const cast = [between(0.92, 1.05), 1, between(0.8, 1.05)];
  const data = new Uint8Array(3 * wide * high);
  for (let v = 0; v < high; v += 1) {
    for (let u = 0; u < wide; u += 1) {
      const light = dim * (1 + tiltX * (u / wide - 0.5) + tiltY * (v / high - 0.5));
      const sum = [0, 0, 0];
      for (const off of [0.25, 0.75]) {
        const [x, y] = project(toFace, u + off, v + off);
        const isFace = x >= 0 && y >= 0 && x <= widthMm && y <= heightMm;
        const color = isFace ? at(x, y) : TABLE;
        const shine = isFace ? brightest(shines, x, y) : 0;
        color.forEach((value, channel) => {
          sum[channel]! += 0.5 * (value * light * cast[channel]! + shine + FLARE);
        });
      }
      sum.forEach((value, channel) => {
        const byte = byteOf(Math.min(1, value)) + 2 * gaussian(random);
        data[3 * (v * wide + u) + channel] = Math.min(255, Math.max(0, byte));
      });
    }
  }
  const found = corners.map(([x, y]) => [x + 0.7 * gaussian(random), y + 0.7 * gaussian(random)] as const);
  return {
    photo: { widthPx: wide, heightPx: high, channels: 3, data },
    corners: found as unknown as Corners,
  };
}

function brightest(shines: readonly Shine[], x: number, y: number): number {
  let most = 0;
  for (const { x: ofX, y: ofY, wide, high } of shines) {
    const far = ((x - ofX) / wide) ** 2 + ((y - ofY) / high) ** 2;
    if (far < 6) most = Math.max(most, 3 * Math.exp(-1.6 * far));
  }
  return most;
}
