import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SqliteFile from 'better-sqlite3';
import { sql } from 'kysely';
import { discardHalfDemo } from '../demo/fill.ts';
import { folderOf } from '../folder/folder.ts';
import { takeLock, type FolderLock } from '../folder/lock.ts';
import { sweep } from '../folder/sweep.ts';
import { readConfig } from '../config.ts';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';
import { asProblem } from '../http/problem.ts';
import { storageFault } from './fault.ts';
import { write } from './write.ts';
import { openDatabase } from './open.ts';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-storage-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const NOW = '2026-03-01T10:00:00.000Z';

describe('a database that a newer program wrote', () => {
  it('is refused with the version that is needed, and not changed', async () => {
    await (await openDatabase(folder, NOW)).db.destroy();
    const path = folderOf(folder).database;
    const file = new SqliteFile(path);
    file.exec(`INSERT INTO kysely_migration VALUES ('0099-later', '${NOW}');
      UPDATE studio SET value = '7.3.0' WHERE key = 'version'; CREATE TABLE later (id TEXT)`);
    const before = file.prepare('SELECT * FROM sqlite_master').all();
    file.close();
    await expect(openDatabase(folder, NOW)).rejects.toThrow(/7\.3\.0.*update, then start again/);
    const after = new SqliteFile(path);
    expect(after.prepare('SELECT * FROM sqlite_master').all()).toEqual(before);
    after.close();
  });
});

describe('one folder, one server', () => {
  it('a second one is told where the first can be reached', async () => {
    const first = (await takeLock(folder)) as FolderLock;
    await first.tell('http://127.0.0.1:4480/');
    expect(await takeLock(folder)).toEqual({ heldAt: 'http://127.0.0.1:4480/' });
    first.release();
    const second = (await takeLock(folder)) as FolderLock;
    expect(second).toHaveProperty('release');
    second.release();
  });

  it('what a killed server left behind holds nobody up', async () => {
    writeFileSync(folderOf(folder).running, '{"address":"http://127.0.0.1:1/","pid":1}');
    const lock = (await takeLock(folder)) as FolderLock;
    expect(lock).toHaveProperty('tell');
    lock.release();
  });
});

describe('a full disk', () => {
  let studio: Studio;
  beforeEach(async () => (studio = await openStudio()));
  afterEach(() => studio.close());

  it('is said in words, nothing is lost, and it goes on by itself when there is room', async () => {
    const piece = await startPiece(studio);
    const { rows } = await sql<{ page_count: number }>`PRAGMA page_count`.execute(studio.db);
    await sql.raw(`PRAGMA max_page_count = ${rows[0]!.page_count}`).execute(studio.db);
    const event = (text: string) => ({ id: randomUUID(), at: NOW, kind: 'note', data: { text } });
    const send = (body: object) => studio.http.post(`/api/pieces/${piece.id}/events`).send(body);
    const long = event('x'.repeat(2000));
    let status = 201;
    for (let turn = 0; turn < 60 && status === 201; turn += 1)
      status = (await send(event('x'.repeat(2000)))).status;
    expect(status).toBe(507);
    const refused = await send(long).expect(507);
    expect(refused.body.detail).toMatch(/disk is full.*Nothing was lost/);
    await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
    await sql.raw('PRAGMA max_page_count = 1073741823').execute(studio.db);
    await send(long).expect(201);
    expect(studio.faults).toEqual([]);
  });

  it('is said in words also when the rollback fails, and the next write goes on', async () => {
    const { db } = studio;
    const full = Object.assign(new Error('full'), { code: 'SQLITE_FULL' });
    // As SQLite does where it cannot go on: the transaction is over before it is rolled back.
    const failing = write(db, async (trx) => {
      await sql`ROLLBACK`.execute(trx);
      throw full;
    });
    await expect(failing).rejects.toBe(full);
    expect(asProblem(full)?.status).toBe(507);
    await startPiece(studio);
  });
});

it.each([
  ['SQLITE_FULL', 'full'],
  ['ENOSPC', 'full'],
  ['SQLITE_READONLY_DBMOVED', 'not-writable'],
  ['EROFS', 'not-writable'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_CORRUPT_INDEX', 'damaged'],
  ['SQLITE_BUSY_SNAPSHOT', 'busy'],
  ['SQLITE_CONSTRAINT_UNIQUE', undefined],
])('%s is a fault of the storage: %s', (code, fault) => {
  expect(storageFault(Object.assign(new Error('x'), { code }))).toBe(fault);
});

describe('what an interrupted start left', () => {
  it('half-written files are swept away, whole ones stay', async () => {
    const { photos, incoming } = folderOf(folder);
    const { mkdirSync, existsSync } = await import('node:fs');
    mkdirSync(photos);
    mkdirSync(incoming);
    writeFileSync(join(photos, 'a.jpg'), 'whole');
    const [id, hash] = [randomUUID(), 'ab'.repeat(32)];
    writeFileSync(join(photos, `${hash}.jpg.${id}.part`), 'half');
    writeFileSync(join(incoming, `${id}.part`), 'half');
    await sweep(folder);
    expect(existsSync(join(photos, 'a.jpg'))).toBe(true);
    expect(existsSync(join(photos, `${hash}.jpg.${id}.part`))).toBe(false);
    expect(existsSync(join(incoming, `${id}.part`))).toBe(false);
  });

  it('a demo that was half made goes, a whole one and anybody’s own studio stay', async () => {
    const { existsSync } = await import('node:fs');
    const { database } = folderOf(folder);
    const { db } = await openDatabase(folder, NOW);
    const mark = (value: string) =>
      db
        .insertInto('studio')
        .values({ key: 'demo', value })
        .onConflict((on) => on.column('key').doUpdateSet({ value }))
        .execute();
    await discardHalfDemo(folder);
    expect(existsSync(database)).toBe(true);
    await mark('whole');
    await discardHalfDemo(folder);
    expect(existsSync(database)).toBe(true);
    await mark('filling');
    await db.destroy();
    await discardHalfDemo(folder);
    expect(existsSync(database)).toBe(false);
  });
});

it('a passphrase of one character is refused, wherever the server listens', () => {
  expect(() => readConfig({ ICY_RIBBON_PASSPHRASE: 'x' }, '/app')).toThrow(/at least 8/);
  expect(() => readConfig({ ICY_RIBBON_PASSPHRASE: 'x', ICY_RIBBON_HOST: '0.0.0.0' }, '/app')).toThrow(
    /at least 8/,
  );
});
