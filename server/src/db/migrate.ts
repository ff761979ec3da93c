import type { Database as SqliteFile } from 'better-sqlite3';
import { Migrator, type Kysely, type Migration } from 'kysely';
import { first } from './migrations/0001-first.ts';
import { recipesAndStock } from './migrations/0002-recipes-and-stock.ts';
import { readings } from './migrations/0003-readings.ts';
import { plan } from './migrations/0004-plan.ts';
import { results } from './migrations/0005-results.ts';
import { corrections } from './migrations/0006-corrections.ts';

const MIGRATIONS: Record<string, Migration> = {
  '0001-first': first,
  '0002-recipes-and-stock': recipesAndStock,
  '0003-readings': readings,
  '0004-plan': plan,
  '0005-results': results,
  '0006-corrections': corrections,
};

/**
 * Brings the database to the newest schema, forward only. Before the first change to a database that
 * holds something, a backup file is written beside it.
 *
 * @returns the backup file's path when one was made
 */
export async function migrate(
  db: Kysely<never> | Kysely<unknown>,
  file: SqliteFile,
  stamp: string,
  migrations: Record<string, Migration> = MIGRATIONS,
): Promise<string | undefined> {
  const migrator = new Migrator({
    db: db as Kysely<unknown>,
    provider: { getMigrations: () => Promise.resolve(migrations) },
  });
  const waiting = (await migrator.getMigrations()).filter((each) => !each.executedAt);
  if (waiting.length === 0) return undefined;
  const backup = isEmpty(file) ? undefined : await backUp(file, stamp);
  const { error } = await migrator.migrateToLatest();
  if (error) throw error;
  return backup;
}

function isEmpty(file: SqliteFile): boolean {
  const row = file
    .prepare(`SELECT count(*) AS tables FROM sqlite_master WHERE type = 'table' AND name = 'piece'`)
    .get() as { tables: number };
  return row.tables === 0;
}

async function backUp(file: SqliteFile, stamp: string): Promise<string> {
  const path = `${file.name}.before-migration-${stamp.replace(/[:.]/g, '-')}`;
  await file.backup(path);
  return path;
}
