import type { Database as SqliteFile } from 'better-sqlite3';
import { Migrator, type Kysely, type Migration } from 'kysely';
import { VERSION } from '../version.ts';
import { first } from './migrations/0001-first.ts';
import { recipesAndStock } from './migrations/0002-recipes-and-stock.ts';
import { readings } from './migrations/0003-readings.ts';
import { plan } from './migrations/0004-plan.ts';
import { results } from './migrations/0005-results.ts';
import { corrections } from './migrations/0006-corrections.ts';
import { safe } from './migrations/0007-safe.ts';
import { aims } from './migrations/0008-aims.ts';
import { cells } from './migrations/0009-cells.ts';
import { standIns } from './migrations/0010-stand-ins.ts';
import { colors } from './migrations/0011-colors.ts';
import { topCoat } from './migrations/0012-top-coat.ts';
import { supportKind } from './migrations/0013-support-kind.ts';
import { tintingStrength } from './migrations/0014-tinting-strength.ts';
import { touchDry } from './migrations/0015-touch-dry.ts';
import { care } from './migrations/0016-care.ts';
import { drills } from './migrations/0017-drills.ts';
import { originals } from './migrations/0018-originals.ts';
import { lists } from './migrations/0019-lists.ts';
import { cupId } from './migrations/0020-cup-id.ts';

/** In the order in which they were written. */
export const MIGRATIONS: Record<string, Migration> = {
  '0001-first': first,
  '0002-recipes-and-stock': recipesAndStock,
  '0003-readings': readings,
  '0004-plan': plan,
  '0005-results': results,
  '0006-corrections': corrections,
  '0007-safe': safe,
  '0008-aims': aims,
  '0009-cells': cells,
  '0010-stand-ins': standIns,
  '0011-colors': colors,
  '0012-top-coat': topCoat,
  '0013-support-kind': supportKind,
  '0014-tinting-strength': tintingStrength,
  '0015-touch-dry': touchDry,
  '0016-care': care,
  '0017-drills': drills,
  '0018-originals': originals,
  '0019-lists': lists,
  '0020-cup-id': cupId,
};

/** The database was written by a newer program than this one. */
export class NewerDatabase extends Error {
  constructor(neededVersion: string | undefined) {
    const needed = neededVersion ? `version ${neededVersion}` : 'a newer version';
    super(
      `This studio was written by ${needed} of Icy Ribbon, and this is ${VERSION}: update, then start again. Nothing was changed.`,
    );
    this.name = 'NewerDatabase';
  }
}

/**
 * Looks, without changing anything, whether this program knows every change of schema that the database has seen.
 *
 * @throws NewerDatabase with the version that is needed
 */
export function requireKnown(file: SqliteFile, known: readonly string[] = Object.keys(MIGRATIONS)): void {
  if (!hasTable(file, 'kysely_migration')) return;
  const seen = file.prepare('SELECT name FROM kysely_migration').all() as { name: string }[];
  if (seen.every(({ name }) => known.includes(name))) return;
  const row = hasTable(file, 'studio')
    ? (file.prepare(`SELECT value FROM studio WHERE key = 'version'`).get() as { value: string } | undefined)
    : undefined;
  throw new NewerDatabase(row?.value);
}

/**
 * Brings the database to the newest schema, forward only. Before the first change to a database that
 * holds something, a copy is made.
 *
 * @returns the copy's path when one was made
 */
export async function migrate(
  db: Kysely<never> | Kysely<unknown>,
  file: SqliteFile,
  stamp: string,
  {
    migrations = MIGRATIONS,
    beforeMigration = (of) => backUp(of, stamp),
  }: {
    readonly migrations?: Record<string, Migration>;
    readonly beforeMigration?: ((file: SqliteFile) => Promise<string>) | undefined;
  } = {},
): Promise<string | undefined> {
  const migrator = new Migrator({
    db: db as Kysely<unknown>,
    provider: { getMigrations: () => Promise.resolve(migrations) },
  });
  const waiting = (await migrator.getMigrations()).filter((each) => !each.executedAt);
  if (waiting.length === 0) return undefined;
  const backup = hasTable(file, 'piece') ? await beforeMigration(file) : undefined;
  const { error } = await migrator.migrateToLatest();
  if (error) throw error;
  if (hasTable(file, 'studio')) {
    file.prepare(`INSERT OR REPLACE INTO studio VALUES ('version', ?)`).run(VERSION);
  }
  return backup;
}

function hasTable(file: SqliteFile, name: string): boolean {
  return (
    file.prepare(`SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?`).get(name) !== undefined
  );
}

async function backUp(file: SqliteFile, stamp: string): Promise<string> {
  const path = `${file.name}.before-migration-${stamp.replace(/[:.]/g, '-')}`;
  await file.backup(path);
  return path;
}
