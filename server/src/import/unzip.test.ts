import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeZip } from '../testing/zips.ts';
import { JSON_NAME, MANIFEST_NAME, unzip } from './unzip.ts';

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-unzip-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let count = 0;
async function zipOf(parts: Readonly<Record<string, string | Buffer>>): Promise<string> {
  count += 1;
  const path = join(folder, `${count}.zip`);
  await writeZip(path, parts);
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

describe('a zip that would unpack to more than it should', () => {
  /** Sets a number in every record of a kind, to what the zip shall claim. */
  function claiming(path: string, signature: number, offset: number, value: number): string {
    const bytes = readFileSync(path);
    for (let at = bytes.indexOf(u32(signature)); at >= 0; at = bytes.indexOf(u32(signature), at + 4)) {
      bytes.writeUInt32LE(value >>> 0, at + offset);
    }
    writeFileSync(path, bytes);
    return path;
  }
  const u32 = (value: number) => {
    const bytes = Buffer.alloc(4);
    bytes.writeUInt32LE(value >>> 0);
    return bytes;
  };
  const CENTRAL = 0x02014b50;

  it('is refused by what it claims, before anything is unpacked', async () => {
    const path = await zipOf({ [JSON_NAME]: Buffer.alloc(3_000_000, 32) });
    await expect(unzip(path)).rejects.toMatchObject({
      errors: [{ message: expect.stringMatching(/unpacks to far more/) }],
    });
    const honest = await zipOf({ [JSON_NAME]: '{"a":1}' });
    await expect(unzip(claiming(honest, CENTRAL, 24, 3_900_000_000))).rejects.toMatchObject({ status: 422 });
  });

  it('and where its parts lie over each other', async () => {
    const path = await zipOf({ [JSON_NAME]: '{}', 'a.txt': Buffer.from('x'.repeat(2000)) });
    const packed = readFileSync(path).length;
    await expect(unzip(claiming(path, CENTRAL, 20, packed))).rejects.toMatchObject({
      errors: [{ message: expect.stringMatching(/lie over each other|damaged/) }],
    });
  });

  it('one whose checksum is not that of its content is damaged', async () => {
    const path = claiming(await zipOf({ [JSON_NAME]: '{"a":1}' }), CENTRAL, 16, 12345);
    await expect(unzip(path)).rejects.toMatchObject({
      errors: [{ message: expect.stringMatching(/damaged/) }],
    });
  });

  it('with the same name twice is refused', async () => {
    const path = await zipOf({ [JSON_NAME]: '{}', 'studio.jsoo': '{}' });
    const bytes = Buffer.from(
      readFileSync(path).toString('latin1').replaceAll('studio.jsoo', 'studio.json'),
      'latin1',
    );
    writeFileSync(path, bytes);
    await expect(unzip(path)).rejects.toMatchObject({
      errors: [{ message: expect.stringMatching(/twice/) }],
    });
  });

  it('a rejected zip is closed again', async () => {
    const open = () => readdirSync('/proc/self/fd').length;
    const path = await zipOf({ 'readme.txt': 'x' });
    await unzip(path).catch(() => undefined);
    const before = open();
    for (let turn = 0; turn < 20; turn += 1) await unzip(path).catch(() => undefined);
    // The runner may open a file of its own meanwhile; twenty leaks would show.
    expect(open()).toBeLessThan(before + 10);
  });
});

it('photos that its manifest calls missing are known as such', async () => {
  const manifest = JSON.stringify({ photos: 1, missing: [{ hash: HASH, reason: 'Its file is missing.' }] });
  const found = await unzip(
    await zipOf({ [JSON_NAME]: '{}', [`photos/${HASH}.jpg`]: '', [MANIFEST_NAME]: manifest }),
  );
  expect([...found.missing]).toEqual([HASH]);
  expect(found.hashes.size).toBe(0);
  found.close();
});
