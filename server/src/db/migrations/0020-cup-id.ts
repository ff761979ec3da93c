import { holdsOldNames, withNewNames } from '@icy-ribbon/contract';
import { sql, type Kysely, type Migration } from 'kysely';

const TABLES = ['mixIngredient', 'mixAddition', 'mixMovement', 'reading'];

/** Columns of JSON that name cups, or what they are made of. */
const TEXTS = [
  ['pourEvent', 'data'],
  ['careEvent', 'data'],
  ['plan', 'body'],
  ['judgement', 'faults'],
  ['photo', 'measurement'],
  ['mix', 'recipe'],
  ['recipe', 'body'],
] as const;
const MANY = 500;

/** One name for a cup: `cupId`. What is worked out of the pieces is worked out anew. */
export const cupId: Migration = {
  async up(db: Kysely<unknown>) {
    const run = (statement: string) => sql.raw(statement).execute(db);
    for (const table of TABLES) await run(`ALTER TABLE ${table} RENAME COLUMN mixId TO cupId`);
    for (const [table, column] of TEXTS) await rename(db, table, column);
    await run('DELETE FROM touched');
  },
};

async function rename(db: Kysely<unknown>, table: string, column: string): Promise<void> {
  for (let after = 0; ;) {
    const { rows } = await sql<{ row: number; text: string | null }>`
      SELECT rowid AS row, ${sql.ref(column)} AS text FROM ${sql.table(table)}
      WHERE rowid > ${after} ORDER BY rowid LIMIT ${MANY}`.execute(db);
    for (const { row, text } of rows) {
      const renamed = text !== null && holdsOldNames(text) ? renamedText(text) : undefined;
      if (renamed === undefined) continue;
      await sql`UPDATE ${sql.table(table)} SET ${sql.ref(column)} = ${renamed} WHERE rowid = ${row}`.execute(
        db,
      );
    }
    if (rows.length < MANY) return;
    after = rows.at(-1)!.row;
  }
}

/** Undefined for a record that was damaged: it stays as it is, to be named and set aside. */
function renamedText(text: string): string | undefined {
  try {
    return JSON.stringify(withNewNames(JSON.parse(text)));
  } catch {
    return undefined;
  }
}
