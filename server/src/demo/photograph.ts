import type { Rehearsal } from '@icy-ribbon/core/piece/rehearse';
import { decodePhoto } from '../photo/decode.ts';
import { hashOf } from '../photo/files.ts';
import { measureCups } from '../photo/measureCups.ts';
import { photographFilm } from '../standin/camera/camera.ts';
import type { DemoPicture, DemoShot } from './pictures.ts';

/** Large enough for cells of two millimeters on a large panel, small enough to keep. */
const MEGAPIXELS = 1.5;

/** A photo of a pour of the demo, a gray card beside the piece, measured as the page would measure it. */
export async function photographDemo(
  film: Rehearsal,
  { piece, takenAt, seed, moment }: DemoShot,
): Promise<DemoPicture> {
  const { jpeg, ...frame } = await photographFilm(film, { seed, moment, megapixels: MEGAPIXELS });
  const pixels = await decodePhoto(jpeg);
  const { widthPx, heightPx } = pixels;
  return { jpeg, hash: hashOf(jpeg), widthPx, heightPx, ...measureCups(pixels, piece, frame, takenAt) };
}
