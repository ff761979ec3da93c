import { setTimeout as sleep } from 'node:timers/promises';
import { requireAnswerable } from '../device/owed.ts';
import { evaluateTouched, forgetTouched } from '../piece/evaluate.ts';
import { sqliteCode } from './fault.ts';
import type { Db } from './open.ts';
import type { Writer } from './record.ts';

const AGAIN_MS = 15;
const MOST_WAIT_MS = 120_000;

/**
 * The one way to write: in a transaction, at whose end everything is worked out of the pieces that it changed. What
 * could not be read, listed or shown afterwards, or answered now, is refused, and nothing of it is kept.
 *
 * While something else writes (a file that comes in), it waits without holding anything up.
 *
 * @throws HttpProblem 422 when a piece could not be worked out any more
 */
export async function write<Result>(db: Db, work: (trx: Writer) => Promise<Result>): Promise<Result> {
  const startedAt = performance.now();
  for (;;) {
    try {
      return await db.transaction().execute(async (trx) => {
        await forgetTouched(trx);
        const result = await work(trx);
        await evaluateTouched(trx);
        requireAnswerable(result);
        return result;
      });
    } catch (error) {
      if (sqliteCode(error) !== 'SQLITE_BUSY' || performance.now() - startedAt > MOST_WAIT_MS) throw error;
      await sleep(AGAIN_MS);
    }
  }
}
