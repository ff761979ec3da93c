import { randomUUID } from 'node:crypto';
import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { requirePiece } from '../../db/ofPiece.ts';
import type { Db } from '../../db/open.ts';
import { route } from '../../http/route.ts';
import type { PhotoFiles } from '../../photo/files.ts';
import { storePhoto } from '../../photo/photo.routes.ts';
import type { Tasks } from '../../task/threads.ts';

/** The camera stand-in: stands over the table and photographs the piece as the invented world has it. */
export function cameraRoutes(router: Router, db: Db, files: PhotoFiles, tasks: Tasks): void {
  route(router, api.photos.shutter, async ({ params: { pieceId }, body }) => {
    await requirePiece(db, pieceId);
    const { state, megapixels, id = randomUUID() } = body;
    const photo = await tasks.run('photograph', { pieceId, state, megapixels });
    return storePhoto(db, files, { id, pieceId, state, photo, standIn: true });
  });
}
