import { PHOTO_STATES, type Photo, type PhotoDetail, type Piece } from '@icy-ribbon/contract';
import type { Random } from '@icy-ribbon/core/base/random';
import { pourRecordOf, type PourRecord } from '@icy-ribbon/core/judgement/outcome';
import type { DemoPicture, DemoShot } from './pictures.ts';
import type { DemoPiece } from './scenario.ts';
import { trueThickness } from './truth.ts';

interface Picture {
  readonly photo: Photo;
  readonly image: Buffer;
  readonly detail: PhotoDetail;
}

/** The photos that are taken of the pour. */
export function shotsOf(
  piece: Piece,
  firstId: string,
  told: DemoPiece,
  { random, makeId, clock }: { random: Random; makeId: () => string; clock: (minutes: number) => string },
): (DemoShot & { readonly id: string })[] {
  const record = trueRecord(piece);
  const seed = Math.floor(random() * 1e6);
  const states = told.twice ? PHOTO_STATES : ([told.startedDaysAgo > 8 ? 'dry' : 'wet'] as const);
  const { mixes, support } = piece;
  return states.map((moment, index) => ({
    ...{ name: told.name, record, piece: { mixes, support }, seed, moment },
    takenAt: clock(20),
    id: index === 0 ? firstId : makeId(),
  }));
}

export function pictureOf(
  id: string,
  pieceId: string,
  { moment, takenAt }: DemoShot,
  taken: DemoPicture,
): Picture {
  const { jpeg, hash, widthPx, heightPx, measurement, detail } = taken;
  const photo = {
    id,
    pieceId,
    version: 1,
    state: moment,
    original: null,
    standIn: true,
    hash,
    widthPx,
    heightPx,
    measurement,
  };
  return { photo: { ...photo, createdAt: takenAt, deletedAt: null }, image: Buffer.from(jpeg), detail };
}

/** The pour with its cups as thick as they really are, which the studio does not know. */
function trueRecord(piece: Piece): PourRecord {
  const record = pourRecordOf(piece);
  return {
    ...record,
    cups: record.cups.map((cup, index) => ({ ...cup, viscosityPaS: trueThickness(piece.mixes[index]!) })),
  };
}
