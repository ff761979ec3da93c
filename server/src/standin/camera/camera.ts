import type { Piece } from '@icy-ribbon/contract';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { paletteOfCups, type Corners, type PatchMm } from '@icy-ribbon/core/picture';
import sharp from 'sharp';
import { unfit } from '../../http/problem.ts';
import { paintScene } from './paint.ts';
import type { Scene } from './scene.ts';
import { casualShot, shoot } from './shoot.ts';
import { outcomeOf } from './world.ts';

/** Wet paint photographed again once dry: colors darken a little, as the cups' own dry colors say. */
export type PhotoMoment = 'wet' | 'dry';

export interface Shutter {
  readonly jpeg: Buffer;
  readonly corners: Corners;
  readonly grayPatchMm: PatchMm;
}

/**
 * What the camera sees of a pour: the world's law makes the scene, the painter paints it, the lens takes it.
 */
export async function photographPour(
  pour: PourRecord,
  given: { seed: number; megapixels: number; moment: PhotoMoment },
): Promise<Shutter> {
  const { seed, megapixels, moment } = given;
  const scene = sceneOf(pour, seed, moment);
  const face = 0.6 * megapixels * 1e6;
  const pxPerMm = Math.min(14, 1.1 * Math.sqrt(face / (scene.widthMm * scene.heightMm)));
  const shot = casualShot(seed + (moment === 'wet' ? 17 : 71), megapixels);
  const photo = shoot(paintScene(scene, pxPerMm), shot);
  const jpeg = await sharp(photo.pixels, {
    raw: { width: photo.widthPx, height: photo.heightPx, channels: 3 },
  })
    .jpeg({ quality: 88 })
    .toBuffer();
  return { jpeg, corners: photo.corners, grayPatchMm: photo.grayPatchMm };
}

/** The scene of a piece that was poured, or is planned. */
function sceneOf(pour: PourRecord, seed: number, moment: PhotoMoment): Scene {
  const used = pour.cups.filter((cup) => cup.laidMg > 0);
  const { palette, base, activator } = paletteOfCups(used.length > 0 ? used : pour.cups);
  const hexOf = (name: string | null) => palette.find((color) => color.name === name)?.hex;
  const colors = palette.filter((color) => color.name !== base && color.name !== activator);
  const baseHex = hexOf(base);
  if (!baseHex || colors.length < 2) {
    throw unfit('state', 'There is nothing to photograph yet: mix a base and two colors first.');
  }
  const { dug, ...outcome } = outcomeOf(pour);
  void dug;
  const dries = (hex: string) => (moment === 'dry' ? darkened(hex) : hex);
  return {
    seed,
    style: pour.technique === 'bloom' ? 'bloom' : 'dutch',
    shape: pour.support.shape,
    widthMm: pour.support.widthMm,
    heightMm: pour.support.heightMm,
    baseHex: dries(baseHex),
    activatorHex: dries(hexOf(activator) ?? baseHex),
    colorHexes: colors.map((color) => dries(color.hex)),
    ...outcome,
  };
}

const DARKER = 0.93;

function darkened(hex: string): string {
  const channel = (start: number) =>
    Math.round(Number.parseInt(hex.slice(start, start + 2), 16) * DARKER)
      .toString(16)
      .padStart(2, '0');
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

/** The same piece always looks the same. */
export function seedOfPiece(piece: Pick<Piece, 'id'>): number {
  return Number.parseInt(piece.id.slice(0, 7), 16) % 1_000_000;
}
