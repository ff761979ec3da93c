import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SqliteFile from 'better-sqlite3';
import { Kysely, sql } from 'kysely';
import { TransactionalSqliteDialect } from './dialect.ts';
import { migrate, MIGRATIONS } from './migrate.ts';
import { openDatabase } from './open.ts';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-db-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const STAMP = '2026-03-01T09:30:00.000Z';
const later = {
  ...MIGRATIONS,
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

it('cups that were named in two ways have one name, in columns and in what is kept as text', async () => {
  const file = new SqliteFile(join(folder, 'icy-ribbon.sqlite'));
  const db = new Kysely<unknown>({ dialect: new TransactionalSqliteDialect(file) });
  const before = Object.fromEntries(Object.entries(MIGRATIONS).filter(([name]) => name < '0020'));
  await migrate(db, file, STAMP, { migrations: before });
  const note = 'the "mixId" of a "paintId"';
  file.exec(`INSERT INTO support VALUES ('s', 1, '', '', NULL, 's', 'rectangle', 1, 1, 1, 'canvas');
    INSERT INTO piece (id, version, createdAt, updatedAt, name, technique, supportId, supportSnapshot, note, aims)
      VALUES ('p', 1, '', '', 'p', 'dutch', 's', '{}', '', '{}')`);
  const put = (table: string, row: Record<string, unknown>) =>
    file
      .prepare(
        `INSERT INTO ${table} (${Object.keys(row).join(', ')}) VALUES (${Object.keys(row)
          .map(() => '?')
          .join(', ')})`,
      )
      .run(...Object.values(row));
  const [version, createdAt, updatedAt] = [1, '', ''];
  put('pourEvent', {
    ...{ id: 'e', pieceId: 'p', kind: 'layer', at: '' },
    data: JSON.stringify({ mixId: 'c', mg: 5, note }),
  });
  put('plan', {
    ...{ pieceId: 'p', version, createdAt, updatedAt },
    body: JSON.stringify({
      stacks: [{ layers: [{ id: 'l', paintId: 'c' }] }],
      planned: [{ id: 'c', recipeId: 'D2', paintId: 'white' }],
    }),
  });
  put('recipe', {
    ...{ id: 'r', version, createdAt, updatedAt, name: 'r' },
    body: JSON.stringify({ blend: [{ paintId: 'white', parts: 2 }], note }),
  });
  await migrate(db, file, STAMP, { beforeMigration: () => Promise.resolve('') });
  const text = (column: string, table: string) =>
    JSON.parse(
      (file.prepare(`SELECT ${column} AS text FROM ${table}`).get() as { text: string }).text,
    ) as object;
  expect(text('data', 'pourEvent')).toEqual({ cupId: 'c', mg: 5, note });
  expect(text('body', 'plan')).toEqual({
    stacks: [{ layers: [{ id: 'l', cupId: 'c' }] }],
    planned: [{ id: 'c', recipeId: 'D2', materialId: 'white' }],
  });
  expect(text('body', 'recipe')).toEqual({ blend: [{ materialId: 'white', parts: 2 }], note });
  for (const table of ['mixIngredient', 'mixAddition', 'mixMovement', 'reading']) {
    const columns = file.prepare('SELECT name FROM pragma_table_info(?)').all(table) as { name: string }[];
    expect(columns.map(({ name }) => name)).toContain('cupId');
  }
  await db.destroy();
});
