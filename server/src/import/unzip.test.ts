import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { JSON_NAME, unzip } from './unzip.ts';

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-unzip-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let count = 0;
async function zipOf(files: Readonly<Record<string, string | Buffer>>): Promise<string> {
  const zip = new ZipFile();
  for (const [name, content] of Object.entries(files)) zip.addBuffer(Buffer.from(content), name);
  zip.end();
  count += 1;
  const path = join(folder, `${count}.zip`);
  await pipeline(zip.outputStream, createWriteStream(path));
  return path;
}

const HASH = 'ab'.repeat(32);

it('gives the studio, and the photos one by one', async () => {
  const found = await unzip(await zipOf({ [JSON_NAME]: '{"a":1}', [`photos/${HASH}.jpg`]: 'a photo' }));
  expect(found.json).toEqual({ a: 1 });
  expect([...found.hashes]).toEqual([HASH]);
  const photo = await found.withPhoto(HASH, folder, (at) => readFile(at, 'utf8'));
  expect(photo).toBe('a photo');
  found.close();
});

it('what is neither the studio nor a photo by its hash is not looked at', async () => {
  const found = await unzip(
    await zipOf({
      [JSON_NAME]: '{}',
      'photos/holiday.jpg': 'x',
      'notes.txt': 'x',
      [`other/${HASH}.jpg`]: 'x',
    }),
  );
  expect(found.hashes.size).toBe(0);
  found.close();
});

it.each([
  ['a zip without a studio', { 'readme.txt': 'x' }, /no studio in this zip/],
  ['a studio that is no JSON', { [JSON_NAME]: '{"a":' }, /studio\.json in the zip is damaged/],
])('%s is refused with what to do', async (_, files, words) => {
  await expect(unzip(await zipOf(files))).rejects.toMatchObject({
    status: 422,
    errors: [{ path: 'archive', message: expect.stringMatching(words) }],
  });
});

it('a name that leads out of the zip is refused', async () => {
  const path = await zipOf({ [JSON_NAME]: '{}', 'aaaaaaaaaaaa.jpg': 'x' });
  writeFileSync(
    path,
    Buffer.from(
      readFileSync(path).toString('latin1').replaceAll('aaaaaaaaaaaa.jpg', '../../../../x.jp'),
      'latin1',
    ),
  );
  await expect(unzip(path)).rejects.toMatchObject({ status: 422 });
});

it('a photo whose bytes were changed is refused as it is read', async () => {
  const path = await zipOf({ [JSON_NAME]: '{}', [`photos/${HASH}.jpg`]: Buffer.alloc(5000, 7) });
  const bytes = readFileSync(path);
  const from = bytes.indexOf(`photos/${HASH}.jpg`) + `photos/${HASH}.jpg`.length;
  bytes.fill(0xff, from, from + 6);
  writeFileSync(path, bytes);
  const found = await unzip(path);
  await expect(found.withPhoto(HASH, folder, () => Promise.resolve())).rejects.toMatchObject({
    errors: [{ message: expect.stringContaining('is damaged') }],
  });
  found.close();
});
