import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SqliteFile from 'better-sqlite3';
import { Kysely, sql } from 'kysely';
import { TransactionalSqliteDialect } from './dialect.ts';
import { migrate } from './migrate.ts';
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
import { openDatabase } from './open.ts';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-db-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const STAMP = '2026-03-01T09:30:00.000Z';
const later = {
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
  '9998-later': {
    up: (db: Kysely<unknown>) =>
      sql`ALTER TABLE piece ADD COLUMN mood TEXT`.execute(db).then(() => undefined),
  },
};

it('a new database is made in WAL mode with foreign keys on and no backup', async () => {
  const { db, backup } = await openDatabase(folder, STAMP);
  const pragma = async (name: string) =>
    Object.values((await sql.raw(`PRAGMA ${name}`).execute(db)).rows[0] as object)[0];
  expect(backup).toBeUndefined();
  expect(await pragma('journal_mode')).toBe('wal');
  expect(await pragma('foreign_keys')).toBe(1);
  expect(await pragma('synchronous')).toBe(2);
  await expect(
    sql`INSERT INTO photo VALUES ('a', 'no such piece', 1, 'wet', 'h', 1, 1, '', NULL, NULL, NULL, 0, NULL)`.execute(
      db,
    ),
  ).rejects.toMatchObject({ code: 'SQLITE_CONSTRAINT_FOREIGNKEY' });
  await db.destroy();
});

it('before a migration changes a database that is in use, a backup file is written that opens as it was', async () => {
  await (await openDatabase(folder, STAMP)).db.destroy();
  const file = new SqliteFile(join(folder, 'icy-ribbon.sqlite'));
  const db = new Kysely<unknown>({ dialect: new TransactionalSqliteDialect(file) });
  const backup = await migrate(db, file, STAMP, { migrations: later });
  expect(backup && existsSync(backup)).toBe(true);
  const columns = (path: string) =>
    new SqliteFile(path)
      .prepare(`SELECT name FROM pragma_table_info('piece')`)
      .all()
      .map((row) => (row as { name: string }).name);
  expect(columns(backup!)).not.toContain('mood');
  expect(columns(file.name)).toContain('mood');
  expect(await migrate(db, file, STAMP, { migrations: later })).toBeUndefined();
  await db.destroy();
});

it('a migration that fails leaves the database as it was and keeps the backup', async () => {
  await (await openDatabase(folder, STAMP)).db.destroy();
  const file = new SqliteFile(join(folder, 'icy-ribbon.sqlite'));
  const db = new Kysely<unknown>({ dialect: new TransactionalSqliteDialect(file) });
  const broken = { ...later, '9999-broken': { up: () => Promise.reject(new Error('no')) } };
  await expect(migrate(db, file, STAMP, { migrations: broken })).rejects.toThrow('no');
  const names = file
    .prepare(`SELECT name FROM pragma_table_info('piece')`)
    .all()
    .map((row) => (row as { name: string }).name);
  expect(names).not.toContain('mood');
  expect(readdirSync(folder).some((name) => name.includes('before-migration'))).toBe(true);
  await db.destroy();
});
