import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { profileIn, unpackHeic, withProfile } from './heic.ts';

/** Four fields of known color, 240 by 160 pixels, packed by a public encoder; one in sRGB, one in a wider space with its profile. */
const fixture = (name: string) => join(__dirname, 'fixtures', `${name}.heic`);
const FIELDS = [
  [60, 40, [200, 40, 30]],
  [180, 40, [40, 160, 60]],
  [60, 120, [30, 60, 200]],
  [180, 120, [230, 220, 200]],
] as const;

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-heic-'))));
afterEach(() => rmSync(folder, { recursive: true }));

async function colorsOf(path: string): Promise<number[][]> {
  const { data, info } = await sharp(path)
    .toColorspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect([info.width, info.height]).toEqual([240, 160]);
  return FIELDS.map(([x, y]) => [...data.subarray(3 * (y * 240 + x), 3 * (y * 240 + x) + 3)]);
}

it.each(['four-fields', 'four-fields-p3'])(
  '%s is unpacked with the colors that were packed',
  async (name) => {
    const to = join(folder, 'out.png');
    await unpackHeic(fixture(name), to);
    const found = await colorsOf(to);
    found.forEach((color, index) =>
      color.forEach((value, channel) =>
        expect(Math.abs(value - FIELDS[index]![2][channel]!)).toBeLessThanOrEqual(4),
      ),
    );
  },
);

it('a profile is found where there is one, and goes into a PNG', async () => {
  expect(profileIn(readFileSync(fixture('four-fields')))).toBeUndefined();
  const profile = profileIn(readFileSync(fixture('four-fields-p3')))!;
  // A profile says its own length and carries the word "acsp" (ICC.1, from memory).
  expect(profile.readUInt32BE(0)).toBe(profile.length);
  expect(profile.toString('latin1', 36, 40)).toBe('acsp');
  const plain = await sharp({ create: { width: 4, height: 4, channels: 3, background: '#336699' } })
    .png()
    .toBuffer();
  const { icc } = await sharp(withProfile(plain, profile)).metadata();
  expect(icc?.equals(profile)).toBe(true);
});

it('what is no HEIC picture, or cut short, fails', async () => {
  const broken = join(folder, 'broken.heic');
  writeFileSync(broken, readFileSync(fixture('four-fields')).subarray(0, 500));
  // The library says on the console what it stumbled over.
  jest.spyOn(console, 'log').mockImplementation(() => undefined);
  await expect(unpackHeic(broken, join(folder, 'out.png'))).rejects.toThrow();
});
