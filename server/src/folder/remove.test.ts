import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import fc from 'fast-check';
import {
  isArrivedName,
  isDatabaseName,
  isHalfBackupName,
  isHalfPhotoName,
  isPhotoName,
  isUploadName,
} from './names.ts';
import { OutsideRoot, removeEmptyFolder, removeIn, removeInNow, removeNamed, renameIn } from './remove.ts';
import { sweep } from './sweep.ts';

let around: string;
let root: string;
beforeEach(() => {
  around = mkdtempSync(join(tmpdir(), 'icy-ribbon-remove-'));
  root = join(around, 'root');
  mkdirSync(join(root, 'inside'), { recursive: true });
  mkdirSync(join(around, 'outside'));
  writeFileSync(join(around, 'outside', 'grandmother.jpg'), 'x');
});
afterEach(() => rmSync(around, { recursive: true, force: true }));
const theirs = () => existsSync(join(around, 'outside', 'grandmother.jpg'));

it('takes a file away that lies in its root; one that is not there is none', async () => {
  writeFileSync(join(root, 'inside', 'a'), 'x');
  await removeIn(root, join(root, 'inside', 'a'));
  await removeIn(root, join(root, 'inside', 'a'));
  await removeIn(root, join(root, 'nowhere', 'a'));
  removeInNow(root, join(root, 'nowhere', 'a'));
  expect(readdirSync(join(root, 'inside'))).toEqual([]);
});

it.each([['../outside/grandmother.jpg'], ['inside/../../outside/grandmother.jpg'], ['.'], ['..']])(
  'refuses "%s", which lies outside of its root',
  async (path) => {
    const outside = join(root, path);
    await expect(removeIn(root, outside)).rejects.toThrow(OutsideRoot);
    expect(() => removeInNow(root, outside)).toThrow(OutsideRoot);
    writeFileSync(join(root, 'b'), 'y');
    await expect(renameIn(root, join(root, 'b'), outside)).rejects.toThrow(OutsideRoot);
    expect(theirs()).toBe(true);
  },
);

it('a folder that is a link leads nowhere: what lies beyond it stays', async () => {
  symlinkSync(join(around, 'outside'), join(root, 'link'));
  const beyond = join(root, 'link', 'grandmother.jpg');
  await expect(removeIn(root, beyond)).rejects.toThrow(OutsideRoot);
  expect(() => removeInNow(root, beyond)).toThrow(OutsideRoot);
  expect(await removeNamed(root, join(root, 'link'), () => true)).toBe(0);
  expect(theirs()).toBe(true);
  await removeIn(root, join(root, 'link'));
  expect([existsSync(join(root, 'link')), theirs()]).toEqual([false, true]);
});

it('of a folder only files with names of ours go, and it itself only when nothing is left', async () => {
  for (const name of ['ours.part', 'theirs.jpg']) writeFileSync(join(root, 'inside', name), 'x');
  mkdirSync(join(root, 'inside', 'folder.part'));
  expect(await removeNamed(root, join(root, 'inside'), (name) => name.endsWith('.part'))).toBe(1);
  await removeEmptyFolder(root, join(root, 'inside'));
  expect(readdirSync(join(root, 'inside')).sort()).toEqual(['folder.part', 'theirs.jpg']);
});

it('whatever path is made up, nothing outside goes', async () => {
  const part = fc.constantFrom('..', '.', 'inside', 'outside', 'grandmother.jpg', 'root', 'link', '');
  symlinkSync(around, join(root, 'link'));
  await fc.assert(
    fc.asyncProperty(fc.array(part, { maxLength: 7 }), async (parts) => {
      await removeIn(root, [root, ...parts].join('/')).catch(() => undefined);
      expect(theirs()).toBe(true);
    }),
  );
});

it('at the start only what bears a name of ours is swept', async () => {
  const id = '3f0e5f2a-9f35-4f57-8a55-0a4c6f0a0d11';
  const hash = 'ab'.repeat(32);
  const ours = [
    `incoming/${id}.part`,
    `incoming/${id}.part.clean.part.png`,
    `incoming/${id}.part.sqlite-wal`,
    `photos/${hash}.jpg.${id}.part`,
    'backups/2026-03-01T10-00-00-000Z-daily.part',
    'backups/2026-03-01T10-00-00-000Z-daily.part-journal',
    `backups/photos/${hash}.thumbnail.jpg.part`,
  ];
  const others = [
    'incoming/letter.pdf',
    'incoming/my.part',
    'incoming/album/holiday.jpg',
    'photos/grandmother.part',
    `photos/${hash}.jpg`,
    'backups/laptop.part',
    'backups/photos/x.part',
  ];
  for (const path of [...ours, ...others]) {
    mkdirSync(join(root, path, '..'), { recursive: true });
    writeFileSync(join(root, path), 'x');
  }
  await sweep(root);
  expect(ours.filter((path) => existsSync(join(root, path)))).toEqual([]);
  expect(others.filter((path) => !existsSync(join(root, path)))).toEqual([]);
});

it('no two kinds of names of ours are mistaken for each other, and none for what people name things', () => {
  const kinds = [isPhotoName, isHalfPhotoName, isHalfBackupName, isArrivedName, isDatabaseName, isUploadName];
  for (const name of ['grandmother.jpg', 'IMG_2041.JPG', 'notes.part', 'a.sqlite', 'x.json', '']) {
    expect(kinds.filter((isOurs) => isOurs(name))).toEqual([]);
  }
});

/** Every source of the server that runs in the studio. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sources(path);
    return /(?<!\.test)\.ts$/.test(entry.name) ? [path] : [];
  });
}

/** What each may do that could write over a file, and why it cannot be another's. */
const WRITERS: Readonly<Record<string, string>> = {
  'folder/remove.ts': 'bounded by the root that each call names',
  'folder/writeWhole.ts': 'a new name of its own, put in place by remove.ts',
  'backup/store.ts': 'a new name of its own, never through a link',
  'photo/heic.ts': 'a new name in incoming',
  'photo/files.ts': 'a new name in incoming',
  'import/unzip.ts': 'a new name in incoming',
  'import/import.routes.ts': 'a new name in incoming',
  'archive/collect.ts': 'a new name in incoming',
  'demo/sample.ts': 'a new name in incoming',
  'demo/fill.ts': 'a new name in incoming',
  'demo/pictures.ts': 'the pictures of the demo, in the repository',
};
const REMOVING = /\b(rm|rmSync|unlink|unlinkSync|rmdir|rmdirSync|rename|renameSync|truncate|truncateSync)\b/;
const WRITING =
  /\b(writeFile|writeFileSync|createWriteStream|copyFile|copyFileSync|cp|cpSync|appendFile|link|symlink)\b/;

it('nothing else in the server removes, renames or writes over a file', () => {
  const folder = 'server/src';
  const found = sources(folder).flatMap((path) => {
    const text = readFileSync(path, 'utf8');
    const imports = [...text.matchAll(/import (?:\{([^}]*)\}|[^;]*?) from '(?:node:)?fs(?:\/promises)?'/g)];
    const names = imports.map((found) => found[1] ?? 'everything').join(' ');
    const name = relative(folder, path);
    const isRemover = name === 'folder/remove.ts';
    return (REMOVING.test(names) && !isRemover) || names.includes('everything')
      ? [`${name} removes`]
      : WRITING.test(names) && !(name in WRITERS)
        ? [`${name} writes`]
        : [];
  });
  expect(found).toEqual([]);
});
