import type { Piece } from '@icy-ribbon/contract';
import type { MakeKernel } from '@icy-ribbon/core/flow/solver';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import type { Corners, PatchMm } from '@icy-ribbon/core/picture';
import type { Rehearsal } from '@icy-ribbon/core/piece/rehearse';
import sharp from 'sharp';
import { unfit } from '../../http/problem.ts';
import { faceOf } from './face.ts';
import { casualShot, shoot } from './shoot.ts';
import { filmOfPour } from './world.ts';

/** Wet paint photographed again once dry: it dries a little darker. */
export type PhotoMoment = 'wet' | 'dry';

export interface Shutter {
  readonly jpeg: Buffer;
  readonly corners: Corners;
  readonly grayPatchMm: PatchMm;
}

const DARKER = { wet: 1, dry: 0.85 } as const;
/** Of a photo, the face takes about so much; it is drawn a little finer than the lens sees it. */
const FACE_SHARE = 0.6;
const FINER = 1.1;
const MOST_PX_PER_MM = 14;

/**
 * What the camera sees of a pour: what was recorded is blown in the film of the invented world, and the lens takes it.
 *
 * @throws Problem when there is no paint to photograph yet
 */
export async function photographPour(
  pour: PourRecord,
  makeKernel: MakeKernel,
  shot: { seed: number; megapixels: number; moment: PhotoMoment },
): Promise<Shutter> {
  if (pour.order.length === 0) {
    throw unfit('state', 'There is nothing to photograph yet: log what was laid down first.');
  }
  return photographFilm(filmOfPour(pour, makeKernel), shot);
}

/** A film as the camera sees it. */
export async function photographFilm(
  film: Rehearsal,
  { seed, megapixels, moment }: { seed: number; megapixels: number; moment: PhotoMoment },
): Promise<Shutter> {
  const { widthMm, heightMm } = film.scene.support;
  const facePx = FACE_SHARE * megapixels * 1e6;
  const pxPerMm = Math.min(MOST_PX_PER_MM, FINER * Math.sqrt(facePx / (widthMm * heightMm)));
  const seen = casualShot(seed + (moment === 'wet' ? 17 : 71), megapixels);
  const photo = shoot(faceOf(film, pxPerMm, DARKER[moment]), seen);
  const { widthPx: width, heightPx: height, pixels, corners, grayPatchMm } = photo;
  const jpeg = await sharp(pixels, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 88 })
    .toBuffer();
  return { jpeg, corners, grayPatchMm };
}

/** The same piece always looks the same. */
export function seedOfPiece(piece: Pick<Piece, 'id'>): number {
  return Number.parseInt(piece.id.slice(0, 7), 16) % 1_000_000;
}
