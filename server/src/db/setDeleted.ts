import type { Db } from './open.ts';
import { found, updateVersioned, type RecordTable, type Writer } from './record.ts';
import { write } from './write.ts';

/**
 * Deletes a record softly, or brings it back (`deletedAt` null), and returns it as the API shows it.
 *
 * @throws HttpProblem 404 or 409 like `updateVersioned`
 */
export function setDeleted<Shown>(
  db: Db,
  table: RecordTable,
  key: { readonly id: string; readonly version: number },
  deletedAt: string | null,
  read: (trx: Writer) => Promise<Shown | undefined>,
): Promise<Shown> {
  return write(db, async (trx) => {
    await updateVersioned(trx, table, key, { deletedAt }, () => read(trx));
    return found(await read(trx), table);
  });
}
