import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, setDeleted, timestamp } from '../db/record.ts';
import { route } from '../http/route.ts';
import type { PhotoFiles } from '../photo/files.ts';
import { csvRoute } from './csv.ts';
import { exportPiece, importPiece } from './document.ts';
import { createPiece, findPiece, listPieces, updatePiece } from './piece.queries.ts';

export function pieceRoutes(router: Router, db: Db, files: PhotoFiles): void {
  csvRoute(router, db);
  route(router, api.pieces.list, ({ query }) => listPieces(db, query));
  route(router, api.pieces.get, async ({ params }) => {
    const piece = found(await findPiece(db, params.id), 'piece');
    return found(piece.deletedAt === null ? piece : undefined, 'piece');
  });
  route(router, api.pieces.create, ({ body }) => db.transaction().execute((trx) => createPiece(trx, body)));
  route(router, api.pieces.update, ({ params: { id }, body }) =>
    db.transaction().execute(async (trx) => {
      await updatePiece(trx, id, body);
      return found(await findPiece(trx, id), 'piece');
    }),
  );
  route(router, api.pieces.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'piece', { id, version }, timestamp(), (trx) => findPiece(trx, id)),
  );
  route(router, api.pieces.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'piece', { id, version }, null, (trx) => findPiece(trx, id)),
  );
  route(router, api.pieces.exportDocument, ({ params }) => exportPiece(db, files, params.id));
  route(router, api.pieces.importDocument, ({ body }) => importPiece(db, files, body));
}
