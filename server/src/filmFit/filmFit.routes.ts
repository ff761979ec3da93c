import { api, keptFilmFitSchema, type KeptFilmFit } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { timestamp, type Reader } from '../db/record.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';

const KEY = 'film-fit';

/** The kept fit; one that cannot be read counts as none. */
async function keptFit(db: Reader): Promise<KeptFilmFit | null> {
  const row = await db.selectFrom('studio').select('value').where('key', '=', KEY).executeTakeFirst();
  if (!row) return null;
  try {
    return keptFilmFitSchema.safeParse(JSON.parse(row.value)).data ?? null;
  } catch {
    return null;
  }
}

export function filmFitRoutes(router: Router, db: Db): void {
  route(router, api.filmFit.get, async () => ({ fit: await keptFit(db) }));
  route(router, api.filmFit.put, ({ body: { fit } }) =>
    write(db, async (trx) => {
      await trx.deleteFrom('studio').where('key', '=', KEY).execute();
      if (fit) {
        const value = JSON.stringify({ ...fit, fittedAt: timestamp() });
        await trx.insertInto('studio').values({ key: KEY, value }).execute();
      }
      return { fit: await keptFit(trx) };
    }),
  );
}
