import { randomUUID } from 'node:crypto';
import { api } from '@icy-ribbon/contract';
import { pourRecordOf } from '@icy-ribbon/core/compare';
import type { Router } from 'express';
import type { Db } from '../../db/open.ts';
import { found } from '../../db/record.ts';
import { route } from '../../http/route.ts';
import type { PhotoFiles } from '../../photo/files.ts';
import { takeIn } from '../../photo/photo.routes.ts';
import { findPiece } from '../../piece/piece.queries.ts';
import { photographPour, seedOfPiece } from './camera.ts';

/** The camera stand-in: stands over the table and photographs the piece as the invented world has it. */
export function cameraRoutes(router: Router, db: Db, files: PhotoFiles): void {
  route(router, api.photos.shutter, async ({ params, body }) => {
    const piece = found(await findPiece(db, params.pieceId), 'piece');
    const { jpeg } = await photographPour(pourRecordOf(piece), {
      seed: seedOfPiece(piece),
      megapixels: body.megapixels,
      moment: body.state,
    });
    return takeIn(db, files, {
      id: body.id ?? randomUUID(),
      pieceId: piece.id,
      state: body.state,
      upload: jpeg,
    });
  });
}
