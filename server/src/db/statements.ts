import type { Database as SqliteFile, Statement } from 'better-sqlite3';
import type { SqliteDatabase } from 'kysely';

const MOST_KEPT = 400;
const KEPT = /^\s*(select|insert|update|delete|with)\b/i;
/** Such a statement changes what others were prepared for. */
const CHANGES_SCHEMA = /^\s*(create|alter|drop|attach|detach)\b/i;

/** A connection that prepares a statement once and keeps those that were used last: preparing takes longer than most of them run. */
export function keepingStatements(file: SqliteFile): SqliteDatabase {
  const kept = new Map<string, Statement>();
  return {
    prepare(text) {
      if (CHANGES_SCHEMA.test(text)) kept.clear();
      const known = kept.get(text);
      // One whose rows are still being read is left alone.
      const statement = known && !known.busy ? known : file.prepare(text);
      if (!KEPT.test(text)) return statement;
      kept.delete(text);
      kept.set(text, statement);
      if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
      return statement;
    },
    close: () => file.close(),
  };
}
