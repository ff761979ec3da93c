import { api, type Piece } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, timestamp, type Reader } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route, textRoute } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import { createPiece, findPiece, updatePiece } from './piece.queries.ts';
import { setAside } from './setAside.ts';
import { withoutDamaged } from './whole.ts';

/** As the API shows it, deleted or not. */
async function readPiece(trx: Reader, id: string): Promise<Piece | undefined> {
  const piece = await findPiece(trx, id);
  return piece && withoutDamaged(piece);
}

export function pieceRoutes(router: Router, db: Db, tasks: Tasks): void {
  textRoute(router, api.pieces.list, 'list', ({ query }) => tasks.run('pieces', query));
  textRoute(router, api.pieces.get, 'piece', ({ params }) => tasks.run('piece', params.id));
  route(router, api.pieces.create, ({ body }) => write(db, (trx) => createPiece(trx, body)));
  route(router, api.pieces.update, ({ params: { id }, body }) =>
    write(db, async (trx) => {
      await updatePiece(trx, id, body);
      return withoutDamaged(found(await findPiece(trx, id), 'piece'));
    }),
  );
  route(router, api.pieces.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'piece', { id, version }, timestamp(), (trx) => readPiece(trx, id)),
  );
  route(router, api.pieces.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'piece', { id, version }, null, (trx) => readPiece(trx, id)),
  );
  textRoute(router, api.pieces.exportDocument, 'piece', ({ params }) => tasks.run('exportPiece', params.id));
  route(router, api.pieces.setAside, ({ params, body }) =>
    write(db, async (trx) => {
      await setAside(trx, params.id, body);
      return withoutDamaged(found(await findPiece(trx, params.id), 'piece'));
    }),
  );
}
