import { api } from '@icy-ribbon/contract';
import { laidMgOf } from '@icy-ribbon/core/piece/event';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { unfit } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { addIngredient, addToMix, setActual, takeBack, updateMix } from './mix.change.ts';
import { createMix } from './mix.create.ts';
import { combine, draw, moveOut, retarget } from './mix.movement.ts';
import { findMix, liveMix } from './mix.queries.ts';
import { eventsOf } from '../pour/pour.queries.ts';
import type { Tasks } from '../task/threads.ts';

export function mixRoutes(router: Router, db: Db, tasks: Tasks): void {
  route(router, api.mixes.create, async ({ params: { pieceId }, body }) => {
    // What other pieces taught is worked out beside, before the cup is planned by it.
    const learned = await tasks.run('learned', pieceId);
    return write(db, (trx) => createMix(trx, pieceId, body, learned));
  });
  route(router, api.mixes.update, ({ params, body }) => write(db, (trx) => updateMix(trx, params.id, body)));
  route(router, api.mixes.add, ({ params, body }) => write(db, (trx) => addToMix(trx, params.id, body)));
  route(router, api.mixes.takeBack, ({ params }) =>
    write(db, (trx) => takeBack(trx, params.id, params.additionId)),
  );
  route(router, api.mixes.setActual, ({ params, body }) =>
    write(db, (trx) => setActual(trx, params.id, params.ingredientId, body)),
  );
  route(router, api.mixes.retarget, ({ params, body }) => write(db, (trx) => retarget(trx, params.id, body)));
  route(router, api.mixes.move, ({ params, body }) => write(db, (trx) => moveOut(trx, params.id, body)));
  route(router, api.mixes.addIngredient, async ({ params, body }) => {
    const { pieceId } = await liveMix(db, params.id);
    const learned = await tasks.run('learned', pieceId);
    return write(db, (trx) => addIngredient(trx, params.id, body, learned));
  });
  route(router, api.mixes.draw, ({ params, body }) => write(db, (trx) => draw(trx, params.id, body)));
  route(router, api.mixes.combine, ({ params, body }) =>
    write(db, (trx) => combine(trx, params.pieceId, body)),
  );
  route(router, api.mixes.remove, async ({ params: { id }, query: { version } }) => {
    const mix = await liveMix(db, id);
    if (laidMgOf(await eventsOf(db, [mix.pieceId]), id) > 0) {
      throw unfit('id', 'This cup was poured: the record of the pour keeps it.');
    }
    return setDeleted(db, 'mix', { id, version }, timestamp(), (trx) => findMix(trx, id));
  });
  route(router, api.mixes.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'mix', { id, version }, null, (trx) => findMix(trx, id)),
  );
}
