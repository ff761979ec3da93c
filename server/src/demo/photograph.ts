import type { Measurement, PhotoDetail, PhotoState, Piece } from '@icy-ribbon/contract';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { decodePhoto } from '../photo/decode.ts';
import { hashOf } from '../photo/files.ts';
import { measureCups } from '../photo/measureCups.ts';
import { photographPour } from '../standin/camera/camera.ts';

/** One photo that the camera's stand-in shall take of a pour. */
export interface DemoShot {
  /** The pour as it truly was. */
  readonly record: PourRecord;
  readonly piece: Pick<Piece, 'mixes' | 'support'>;
  readonly seed: number;
  readonly megapixels: number;
  readonly moment: PhotoState;
  readonly takenAt: string;
}

export interface DemoPicture {
  readonly jpeg: Uint8Array;
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly measurement: Measurement;
  readonly detail: PhotoDetail;
}

/** The photo, a gray card beside the piece, measured as the page would measure it. */
export async function photographDemo({ record, piece, takenAt, ...shot }: DemoShot): Promise<DemoPicture> {
  const { jpeg, ...frame } = await photographPour(record, shot);
  const pixels = await decodePhoto(jpeg);
  const { widthPx, heightPx } = pixels;
  return { jpeg, hash: hashOf(jpeg), widthPx, heightPx, ...measureCups(pixels, piece, frame, takenAt) };
}
