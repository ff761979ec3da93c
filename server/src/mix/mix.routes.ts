import { api } from '@icy-ribbon/contract';
import { laidMgOf } from '@icy-ribbon/core/pour';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, setDeleted, timestamp } from '../db/record.ts';
import { unfit } from '../http/problem.ts';
import { route } from '../http/route.ts';
import {
  addIngredient,
  addToMix,
  createMix,
  findMix,
  setActual,
  takeBack,
  updateMix,
} from './mix.queries.ts';
import { combine, draw, moveOut, retarget } from './movement.queries.ts';
import { eventsOf } from '../pour/pour.queries.ts';

export function mixRoutes(router: Router, db: Db): void {
  route(router, api.mixes.create, ({ params, body }) =>
    db.transaction().execute((trx) => createMix(trx, params.pieceId, body)),
  );
  route(router, api.mixes.update, ({ params, body }) =>
    db.transaction().execute((trx) => updateMix(trx, params.id, body)),
  );
  route(router, api.mixes.add, ({ params, body }) =>
    db.transaction().execute((trx) => addToMix(trx, params.id, body)),
  );
  route(router, api.mixes.takeBack, ({ params }) =>
    db.transaction().execute((trx) => takeBack(trx, params.id, params.additionId)),
  );
  route(router, api.mixes.setActual, ({ params, body }) =>
    db.transaction().execute((trx) => setActual(trx, params.id, params.ingredientId, body)),
  );
  route(router, api.mixes.retarget, ({ params, body }) =>
    db.transaction().execute((trx) => retarget(trx, params.id, body)),
  );
  route(router, api.mixes.move, ({ params, body }) =>
    db.transaction().execute((trx) => moveOut(trx, params.id, body)),
  );
  route(router, api.mixes.addIngredient, ({ params, body }) =>
    db.transaction().execute((trx) => addIngredient(trx, params.id, body)),
  );
  route(router, api.mixes.draw, ({ params, body }) =>
    db.transaction().execute((trx) => draw(trx, params.id, body)),
  );
  route(router, api.mixes.combine, ({ params, body }) =>
    db.transaction().execute((trx) => combine(trx, params.pieceId, body)),
  );
  route(router, api.mixes.remove, async ({ params: { id }, query: { version } }) => {
    const mix = found(await findMix(db, id), 'cup');
    if (laidMgOf(await eventsOf(db, [mix.pieceId]), id) > 0) {
      throw unfit('id', 'This cup was poured: the record of the pour keeps it.');
    }
    return setDeleted(db, 'mix', { id, version }, timestamp(), (trx) => findMix(trx, id));
  });
  route(router, api.mixes.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'mix', { id, version }, null, (trx) => findMix(trx, id)),
  );
}
