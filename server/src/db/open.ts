import { mkdirSync } from 'node:fs';
import SqliteFile, { type Database as SqliteConnection } from 'better-sqlite3';
import { Kysely, SqliteDialect } from 'kysely';
import { folderOf } from '../folder/folder.ts';
import { TransactionalSqliteDialect } from './dialect.ts';
import { migrate, requireKnown } from './migrate.ts';
import type { Database } from './schema.ts';
import { keepingStatements } from './statements.ts';

export type Db = Kysely<Database>;

export interface OpenDatabase {
  readonly db: Db;
  /** The connection beneath, for what Kysely has no word for: the online backup. */
  readonly file: SqliteConnection;
  readonly backup: string | undefined;
}

/**
 * Opens (and, the first time, makes) the database in a data folder and brings its schema up to date.
 *
 * Every commit is flushed to disk before it is answered, so that neither a killed server nor a flat
 * battery loses a step.
 *
 * @param beforeMigration makes a copy before the schema of a database that is in use is changed, and names it
 * @throws NewerDatabase when a newer program wrote it: nothing is changed then
 */
export async function openDatabase(
  dataFolder: string,
  stamp: string,
  beforeMigration?: (file: SqliteConnection) => Promise<string>,
): Promise<OpenDatabase> {
  mkdirSync(dataFolder, { recursive: true });
  const path = folderOf(dataFolder).database;
  const file = new SqliteFile(path);
  try {
    requireKnown(file);
    prepare(file, 'FULL');
    const db = kyselyOf(file);
    const backup = await migrate(db as unknown as Kysely<unknown>, file, stamp, { beforeMigration });
    return { db, file, backup };
  } catch (error) {
    file.close();
    throw error;
  }
}

/** A second connection to a database that is open already, which may write. */
export function openWriter(dataFolder: string): Db {
  const file = new SqliteFile(folderOf(dataFolder).database, { fileMustExist: true });
  prepare(file, 'FULL');
  // On a thread of its own it may wait.
  file.pragma('busy_timeout = 10000');
  hold(file, STUDIO_MB);
  return kyselyOf(file);
}

/**
 * A connection that only reads.
 *
 * @param cacheMb how much of the database it may hold
 */
export function openReader(dataFolder: string, cacheMb: number): Db {
  const file = new SqliteFile(folderOf(dataFolder).database, { readonly: true, fileMustExist: true });
  file.pragma('busy_timeout = 5000');
  hold(file, cacheMb);
  return new Kysely<Database>({ dialect: new SqliteDialect({ database: keepingStatements(file) }) });
}

/** A new database at a path, which need not outlive a power cut and keeps no words to search for; what is touched is said by whoever writes. */
export async function openFresh(path: string): Promise<Db> {
  const file = new SqliteFile(path);
  prepare(file, 'OFF');
  hold(file, STUDIO_MB);
  const db = kyselyOf(file);
  await migrate(db as unknown as Kysely<unknown>, file, '');
  const triggers = file.prepare(`SELECT name FROM sqlite_master WHERE type = 'trigger'`).all() as {
    name: string;
  }[];
  for (const { name } of triggers) file.exec(`DROP TRIGGER ${name}`);
  return db;
}

/** A whole studio is written in no order of its keys: with less, every row waits for pages that were just let go. */
const STUDIO_MB = 96;

const hold = (file: SqliteConnection, mb: number): unknown => file.pragma(`cache_size = ${-1000 * mb}`);

function prepare(file: SqliteConnection, synchronous: 'FULL' | 'OFF'): void {
  file.pragma('journal_mode = WAL');
  file.pragma(`synchronous = ${synchronous}`);
  file.pragma('foreign_keys = ON');
  // Waiting for another writer is done without holding the thread up: see `write`.
  file.pragma('busy_timeout = 0');
}

const kyselyOf = (file: SqliteConnection): Db =>
  new Kysely<Database>({ dialect: new TransactionalSqliteDialect(file) });
