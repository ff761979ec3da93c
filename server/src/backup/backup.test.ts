import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  openSync,
  closeSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  mkdirSync,
  symlinkSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import type { Backup, Piece, Safekeeping } from '@icy-ribbon/contract';
import SqliteFile from 'better-sqlite3';
import { folderOf } from '../folder/folder.ts';
import { noisy } from '../testing/pictures.ts';
import { importedBy, materialNamed, openStudio, startPiece, type Studio } from '../testing/studio.ts';
import { openBackups } from './backups.ts';
import { deletionGuard } from './deletionGuard.ts';
import { finishRestore, restore } from './restore.ts';
import { copyWhole } from './store.ts';
import { verify } from './verify.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

const backUp = async () => (await studio.http.post('/api/safekeeping/backups').expect(201)).body as Backup;
const kept = async () => (await studio.http.get('/api/safekeeping').expect(200)).body as Safekeeping;
const putBack = (name: string) => studio.http.post(`/api/safekeeping/backups/${name}/restore`);
const names = async () =>
  ((await studio.http.get('/api/pieces').expect(200)).body.items as { name: string }[]).map(
    ({ name }) => name,
  );
const inBackups = (file: string) => join(studio.folder, 'backups', file);

/** So many backups of the studio as it is, as if made at these moments; their names. */
async function inRow(count: number, at: (turn: number) => Date): Promise<string[]> {
  const names: string[] = [];
  const file = new SqliteFile(folderOf(studio.folder).database);
  for (let turn = 0; turn < count; turn += 1) {
    const verifyHere = (path: string) => Promise.resolve(verify(path));
    const backups = openBackups(studio.folder, verifyHere, () => at(turn));
    names.push((await backups.make('daily', file)).name);
  }
  file.close();
  return names;
}

async function addPhoto(piece: Piece): Promise<string> {
  const { body } = await studio.http
    .post(`/api/pieces/${piece.id}/photos`)
    .field('state', 'wet')
    .attach('photo', await noisy(90, 60).jpeg().toBuffer(), 'a.jpg')
    .expect(201);
  return body.hash as string;
}

/** Overwrites some of a file with nonsense. */
function scribble(path: string, from: number, bytes: number): void {
  const file = openSync(path, 'r+');
  writeSync(file, Buffer.alloc(bytes, 0x5a), 0, bytes, from);
  closeSync(file);
}

describe('a backup', () => {
  it('holds everything as it was, and is listed with its size and why it was made', async () => {
    const piece = await startPiece(studio);
    const hash = await addPhoto(piece);
    const made = await backUp();
    expect(made).toMatchObject({ reason: 'by-hand', pieces: 1, photos: 1, isCopied: false });
    expect((await kept()).backups).toEqual([made]);
    expect(verify(inBackups(`${made.name}.sqlite`))).toMatchObject({ wrong: undefined, hashes: [hash] });
    expect(existsSync(inBackups(`photos/${hash}.jpg`))).toBe(true);
    expect((await kept()).freeBytes).toBeGreaterThan(0);
  });

  it('keeps each photo once, however many backups there are', async () => {
    const hash = await addPhoto(await startPiece(studio));
    await backUp();
    await backUp();
    expect(readdirSync(inBackups('photos')).sort()).toEqual([`${hash}.jpg`, `${hash}.thumbnail.jpg`]);
    expect(statSync(inBackups(`photos/${hash}.jpg`)).ino).toBe(
      statSync(join(studio.folder, 'photos', `${hash}.jpg`)).ino,
    );
  });

  it('is put back, what was there before is backed up first, and photos that were lost come back', async () => {
    const piece = await startPiece(studio);
    const hash = await addPhoto(piece);
    const made = await backUp();
    await studio.http.patch(`/api/pieces/${piece.id}`).send({ version: 1, name: 'Spoilt' }).expect(200);
    await startPiece(studio);
    rmSync(join(studio.folder, 'photos', `${hash}.jpg`));
    const { body } = await putBack(made.name).expect(200);
    expect(body.restored.name).toBe(made.name);
    expect(body.before).toMatchObject({ reason: 'before-restore', pieces: 2 });
    expect(await names()).toEqual(['Test piece']);
    expect(existsSync(join(studio.folder, 'photos', `${hash}.jpg`))).toBe(true);
    await startPiece(studio);
    await putBack(body.before.name as string).expect(200);
    expect((await names()).sort()).toEqual(['Spoilt', 'Test piece']);
    expect(studio.faults).toEqual([]);
  });

  it('that is put back stays, also where the backup before it is one too many', async () => {
    await startPiece(studio);
    const day = Date.now() - 3_600_000;
    const made = await inRow(24, (turn) => new Date(day + turn * 1000));
    const { body } = await putBack(made[0]!).expect(200);
    expect(body.restored.name).toBe(made[0]);
    expect((await kept()).backups.map(({ name }) => name)).toContain(made[0]);
  });

  it('whose leaving was cut short leaves the next time', async () => {
    const hash = await addPhoto(await startPiece(studio));
    const [first] = await inRow(1, () => new Date(Date.now() - 1000));
    renameSync(inBackups(`${first}.json`), inBackups(`${first}.leaving.json`));
    const kept = await backUp();
    const left = readdirSync(inBackups('.')).filter(
      (name) => name.endsWith('.json') || name.endsWith('.sqlite'),
    );
    expect(left.sort()).toEqual([`${kept.name}.json`, `${kept.name}.sqlite`]);
    // The kept one speaks of the same photo.
    expect(existsSync(inBackups(`photos/${hash}.jpg`))).toBe(true);
  });

  it('comes before a file that is read in, at most once an hour and not for one that is refused; and before the tenth deletion in a row', async () => {
    await studio.http.post('/api/pieces/import').send({}).expect(202);
    await studio.served.jobs.idle();
    expect((await kept()).backups).toEqual([]);
    for (let turn = 0; turn < 3; turn += 1) {
      const { id, version } = await materialNamed(studio, 'White');
      const file = { materials: [], changes: [{ id, version, stockMg: 1000 * (turn + 1) }] };
      expect((await importedBy(studio, studio.http.post('/api/materials/import').send(file))).state).toBe(
        'done',
      );
    }
    expect((await kept()).backups.map(({ reason }) => reason)).toEqual(['before-import']);
    const { body } = await studio.http.get('/api/materials').query({ pageSize: 20 }).expect(200);
    for (const { id, version } of (body.items as { id: string; version: number }[]).slice(0, 11)) {
      await studio.http.delete(`/api/materials/${id}`).query({ version }).expect(200);
    }
    expect((await kept()).backups.map(({ reason }) => reason)).toEqual(['before-deleting', 'before-import']);
  });

  it('is due when a day has gone by and something was written', async () => {
    const made = await backUp();
    const day = (hours: number) => new Date(Date.parse(made.madeAt) + hours * 3_600_000);
    const { backups } = studio.served;
    expect(await backups.isDue(24, day(25))).toBe(false);
    await startPiece(studio);
    expect(await backups.isDue(24, day(2))).toBe(false);
    expect(await backups.isDue(24, day(25))).toBe(true);
    expect(await backups.isDue(24, day(-9))).toBe(true);
  });

  it('that there is no room for says so, and nothing half lies there', async () => {
    const file = { pragma: () => 10 ** 9 } as never;
    await expect(studio.served.backups.make('daily', file)).rejects.toMatchObject({ status: 507 });
    expect((await kept()).trouble).toMatch(/too little room .* Free up/);
    expect(readdirSync(inBackups('.'))).toEqual([]);
  });

  it.each(['../../etc/passwd', 'nothing', '2026-03-01T10-00-00-000Z-daily'])('"%s" is none', async (name) => {
    const answer = await studio.http.post(`/api/safekeeping/backups/${encodeURIComponent(name)}/restore`);
    expect([404, 422]).toContain(answer.status);
  });
});

describe('a second folder', () => {
  const second = mkdtempSync(join(tmpdir(), 'icy-ribbon-second-'));
  afterAll(() => rmSync(second, { recursive: true, force: true }));
  const choose = (path: string | null) => studio.http.put('/api/safekeeping/second-folder').send({ path });

  it('gets every backup and its photos, and one can be put back from there when the first is lost', async () => {
    await choose(second).expect(200);
    const hash = await addPhoto(await startPiece(studio));
    const made = await backUp();
    const [own] = readdirSync(second);
    expect(readdirSync(second)).toHaveLength(1);
    expect(existsSync(join(second, own!, `${made.name}.sqlite`))).toBe(true);
    expect(existsSync(join(second, own!, 'photos', `${hash}.jpg`))).toBe(true);
    rmSync(join(studio.folder, 'backups'), { recursive: true });
    rmSync(join(studio.folder, 'photos'), { recursive: true });
    expect((await kept()).backups).toMatchObject([{ name: made.name, isCopied: true }]);
    await putBack(made.name).expect(200);
    expect(existsSync(join(studio.folder, 'photos', `${hash}.jpg`))).toBe(true);
    expect((await choose(null).expect(200)).body.secondFolder).toBeNull();
  });

  it.each([
    ['relative/path', /whole path/],
    ['', /path/],
    ['/proc/nowhere', /can't be written/],
    ['/no/such/place', /can't be written/],
  ])('"%s" is refused', async (path, words) => {
    const { body } = await choose(path).expect(422);
    expect(body.errors[0]).toMatchObject({ path: 'path', message: expect.stringMatching(words) });
  });

  it('is not, holds not and lies not in the data folder of any studio, by whatever name it is called', async () => {
    const around = mkdtempSync(join(tmpdir(), 'icy-ribbon-around-'));
    const other = await openStudio({}, join(around, 'deeper', 'theirs'));
    symlinkSync(studio.folder, join(around, 'link'));
    mkdirSync(join(studio.folder, 'backups'), { recursive: true });
    for (const path of [
      studio.folder,
      join(studio.folder, 'backups'),
      join(studio.folder, 'new'),
      dirname(studio.folder),
      join(around, 'link'),
      join(around, 'link', 'photos-of-mine'),
      around,
      other.folder,
      join(other.folder, 'photos'),
    ]) {
      const { body } = await choose(path).expect(422);
      expect(body.errors[0].path).toBe('path');
    }
    expect((await kept()).secondFolder).toBeNull();
    await other.close();
    rmSync(around, { recursive: true });
  });

  describe('that holds what is not ours', () => {
    const HASH = 'ab'.repeat(32);
    let around: string;
    beforeEach(() => (around = mkdtempSync(join(tmpdir(), 'icy-ribbon-second-'))));
    afterEach(() => rmSync(around, { recursive: true, force: true }));
    const put = (path: string, text = path) => {
      mkdirSync(dirname(join(around, path)), { recursive: true });
      writeFileSync(join(around, path), text);
    };
    /** Every file below, with what is in it. */
    const held = (): Record<string, string> =>
      Object.fromEntries(
        (readdirSync(around, { recursive: true }) as string[])
          .filter((path) => statSync(join(around, path)).isFile())
          .map((path) => [path, readFileSync(join(around, path), 'latin1')]),
      );
    /** So many that the older ones leave. */
    const backUpOften = async () => {
      await inRow(30, (day) => new Date(Date.UTC(2026, 0, 1 + day, 12)));
      return studio.served.backups.list();
    };

    it('keeps all of it: family photos, photos named as ours, backups of other studios and of older versions', async () => {
      put('photos/grandmother.jpg');
      put(`photos/${HASH}.jpg`);
      put(`${HASH}.jpg`);
      put('2020-01-01T00-00-00-000Z-daily.sqlite');
      put('2020-01-01T00-00-00-000Z-daily.json', '{}');
      put('notes.part');
      put('icy-ribbon-backups-3f0e5f2a-9f35-4f57-8a55-0a4c6f0a0d11/photos/theirs.jpg');
      const before = held();
      await choose(around).expect(200);
      await addPhoto(await startPiece(studio));
      const listed = await backUpOften();
      expect(listed.length).toBeLessThan(25);
      expect(held()).toMatchObject(before);
    });

    it('nor is anything of ours removed that we did not write', async () => {
      await choose(around).expect(200);
      await startPiece(studio);
      await backUp();
      const own = readdirSync(around)[0]!;
      put(`${own}/photos/${HASH}.jpg`);
      put(`${own}/photos/grandmother.jpg`);
      put(`${own}/letter.json`);
      const theirs = held();
      await backUpOften();
      for (const path of [
        `${own}/photos/${HASH}.jpg`,
        `${own}/photos/grandmother.jpg`,
        `${own}/letter.json`,
      ]) {
        expect(held()[path]).toBe(theirs[path]);
      }
    });

    it('and a link in it leads to nothing that is removed', async () => {
      const outside = mkdtempSync(join(tmpdir(), 'icy-ribbon-outside-'));
      writeFileSync(join(outside, `${HASH}.jpg`), 'grandmother');
      await choose(around).expect(200);
      await backUp();
      const own = join(around, readdirSync(around)[0]!);
      rmSync(join(own, 'photos'), { recursive: true, force: true });
      symlinkSync(outside, join(own, 'photos'));
      await addPhoto(await startPiece(studio));
      await backUpOften();
      expect(readFileSync(join(outside, `${HASH}.jpg`), 'utf8')).toBe('grandmother');
      rmSync(outside, { recursive: true });
    });

    it('a folder of that name which is not of our making is left alone, and said', async () => {
      await choose(around).expect(200);
      await backUp();
      const own = readdirSync(around)[0]!;
      rmSync(join(around, own, 'icy-ribbon-backups.json'));
      const before = held();
      const made = await backUp();
      expect(made.name).toBeDefined();
      expect((await kept()).trouble).toMatch(/isn't a folder of this studio's backups/);
      expect(held()).toEqual(before);
    });

    it('what an older version put right into it is still listed and put back, and stays', async () => {
      await startPiece(studio);
      const made = await backUp();
      for (const end of ['sqlite', 'json']) {
        copyFileSync(inBackups(`${made.name}.${end}`), join(around, `${made.name}.${end}`));
        rmSync(inBackups(`${made.name}.${end}`));
      }
      const before = held();
      await choose(around).expect(200);
      expect((await kept()).backups).toMatchObject([{ name: made.name, isCopied: true, isOfOther: false }]);
      await startPiece(studio);
      await putBack(made.name).expect(200);
      expect(await names()).toHaveLength(1);
      expect(held()).toMatchObject(before);
    });

    it('on the same disk says so', async () => {
      await choose(around).expect(200);
      expect((await kept()).isSameDisk).toBe(statSync(around).dev === statSync(studio.folder).dev);
    });
  });
});

it('a copy that comes out different is none, and leaves nothing behind', async () => {
  const [from, to] = [join(studio.folder, 'from'), join(studio.folder, 'to')];
  writeFileSync(from, 'as it is');
  await expect(copyWhole(from, to, 'ab'.repeat(32))).rejects.toThrow(/came out different/);
  expect([existsSync(to), existsSync(`${to}.part`)]).toEqual([false, false]);
  await copyWhole(from, to);
  expect(readFileSync(to, 'utf8')).toBe('as it is');
});

describe('a damaged backup', () => {
  it.each([
    ['its head', 0, 200],
    ['a page in its middle', 9000, 3000],
    ['a single byte of a text', 0, 0],
  ])('(%s) is not put back, and what is there stays', async (what, from, bytes) => {
    await startPiece(studio);
    const made = await backUp();
    const path = inBackups(`${made.name}.sqlite`);
    if (bytes > 0) scribble(path, from, bytes);
    else writeFileSync(path, readFileSync(path, 'latin1').replace('Test piece', 'Rest piece'), 'latin1');
    const answer = await putBack(made.name).expect(422);
    expect(answer.body.detail).toMatch(/damaged/);
    expect(await names()).toEqual(['Test piece']);
    void what;
  });

  it('without its word that it was checked it is none', async () => {
    const made = await backUp();
    writeFileSync(inBackups(`${made.name}.json`), '{"name":');
    expect((await kept()).backups).toEqual([]);
  });
});

describe('a database that is damaged', () => {
  /** The same folder after the server was stopped and something happened to it. */
  async function after(happening: (database: string) => void): Promise<void> {
    await studio.served.close();
    happening(join(studio.folder, 'icy-ribbon.sqlite'));
    studio = await openStudio({}, studio.folder);
  }

  it.each<[string, (database: string) => void]>([
    ['head', (path) => scribble(path, 0, 100)],
    ['first pages', (path) => scribble(path, 100, 12_000)],
    ['emptied', (path) => truncateSync(path, 0)],
    ['taken away', (path) => rmSync(path)],
    ['cut off', (path) => truncateSync(path, 5000)],
    ['another file', (path) => writeFileSync(path, 'Dear diary, today I poured.'.repeat(100))],
  ])(
    '(%s) starts all the same, offers its copies, and is well again when one is put back',
    async (_what, happen) => {
      await startPiece(studio);
      const made = await backUp();
      await after(happen);
      expect(studio.served.trouble).toBeDefined();
      expect((await studio.http.get('/api/health').expect(200)).body.status).toBe('damaged');
      const answer = await studio.http.get('/api/pieces').expect(503);
      expect(answer.body.detail).toMatch(/Safekeeping/);
      expect(await kept()).toMatchObject({ isDamaged: true, backups: [{ name: made.name }] });
      await studio.http.post('/api/safekeeping/backups').expect(503);
      await putBack(made.name).expect(200);
      expect((await studio.http.get('/api/health').expect(200)).body.status).toBe('ok');
      expect(await names()).toEqual(['Test piece']);
      await startPiece(studio);
    },
  );

  it('a new folder without backups is simply new', async () => {
    await after((path) => rmSync(path));
    expect(studio.served.trouble).toBeUndefined();
  });
});

describe('a restore that is stopped', () => {
  const verifyHere = (path: string) => Promise.resolve(verify(path));

  it.each([
    ['while the copy is brought', 'copied'],
    ['when it was decided, before anything is moved', 'decided'],
    ['when the old database is out of the way', 'moved'],
  ])('%s ends as before or as asked, never between', async (_what, stage) => {
    await startPiece(studio);
    const made = await backUp();
    await startPiece(studio);
    await studio.served.close();
    const folder = folderOf(studio.folder);
    copyFileSync(inBackups(`${made.name}.sqlite`), `${folder.database}.incoming`);
    if (stage !== 'copied') {
      writeFileSync(
        `${folder.database}.restoring.json`,
        JSON.stringify({ stamp: '2026-03-01T10:00:00.000Z' }),
      );
    }
    if (stage === 'moved') {
      for (const end of ['', '-wal', '-shm']) rmSync(`${folder.database}${end}`, { force: true });
    }
    studio = await openStudio({}, studio.folder);
    expect(await names()).toHaveLength(stage === 'copied' ? 2 : 1);
    expect(readdirSync(studio.folder).filter((name) => /incoming$|restoring/.test(name))).toEqual([]);
  });

  it('keeps what it set aside, three times at most', async () => {
    await startPiece(studio);
    const made = await backUp();
    await studio.served.close();
    const folder = folderOf(studio.folder);
    const found = await openBackups(studio.folder, verifyHere).locate(made.name);
    for (let turn = 0; turn < 5; turn += 1) {
      await restore(folder, found!, verifyHere, `2026-03-01T10:00:0${turn}.000Z`);
    }
    await finishRestore(folder);
    expect(readdirSync(folder.setAside)).toHaveLength(3);
    studio = await openStudio({}, studio.folder);
    expect(await names()).toHaveLength(1);
  });
});

it('deletions that are far apart need no backup, and a failed backup holds the deletion up', async () => {
  let now = 0;
  let made = 0;
  let fails = true;
  const guard = deletionGuard(
    () => {
      made += 1;
      return fails ? Promise.reject(new Error('no room')) : Promise.resolve();
    },
    () => now,
  );
  const remove = (path = '/api/pieces/some-id') =>
    new Promise<unknown>((resolve) => void guard({ method: 'DELETE', path } as never, {} as never, resolve));
  for (let turn = 0; turn < 30; turn += 1) {
    now += 60_000;
    expect(await remove()).toBeUndefined();
  }
  expect(made).toBe(0);
  for (let turn = 0; turn < 5; turn += 1) await remove();
  expect(await remove()).toBeInstanceOf(Error);
  fails = false;
  expect(await remove('/api/mixes/some-id/additions/another')).toBeUndefined();
  const before = made;
  expect(await remove()).toBeUndefined();
  expect(made).toBe(before + 1);
});
