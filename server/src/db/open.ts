import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import SqliteFile from 'better-sqlite3';
import { Kysely } from 'kysely';
import { TransactionalSqliteDialect } from './dialect.ts';
import { migrate } from './migrate.ts';
import type { Database } from './schema.ts';

export type Db = Kysely<Database>;

/**
 * Opens (and, the first time, makes) the database in a data folder and brings its schema up to date.
 *
 * Every commit is flushed to disk before it is answered, so that neither a killed server nor a flat
 * battery loses a step.
 */
export async function openDatabase(
  dataFolder: string,
  stamp: string,
): Promise<{ db: Db; backup: string | undefined }> {
  mkdirSync(dataFolder, { recursive: true });
  const file = new SqliteFile(join(dataFolder, 'icy-ribbon.sqlite'));
  file.pragma('journal_mode = WAL');
  file.pragma('synchronous = FULL');
  file.pragma('foreign_keys = ON');
  file.pragma('busy_timeout = 5000');
  const db = new Kysely<Database>({ dialect: new TransactionalSqliteDialect(file) });
  const backup = await migrate(db as unknown as Kysely<unknown>, file, stamp);
  return { db, backup };
}
