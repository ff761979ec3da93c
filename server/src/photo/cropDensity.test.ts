import { withJpegDensity, withPngDensity } from '@icy-ribbon/core/picture/crop';
import sharp from 'sharp';

const picture = () => sharp({ create: { width: 40, height: 30, channels: 3, background: '#884422' } });

describe('the resolution of a crop, as an independent library reads it', () => {
  it('stands in a JPEG', async () => {
    const plain = await picture().jpeg().toBuffer();
    const { density, width, height } = await sharp(withJpegDensity(plain, 300)).metadata();
    expect([density, width, height]).toEqual([300, 40, 30]);
  });

  it('stands in a PNG, which stays whole', async () => {
    const plain = await picture().png().toBuffer();
    const written = withPngDensity(plain, 300);
    const { density } = await sharp(written).metadata();
    expect(density).toBe(300);
    expect(await sharp(written).raw().toBuffer()).toEqual(await sharp(plain).raw().toBuffer());
  });

  it('no picture is said to be none', () => {
    expect(() => withJpegDensity(new Uint8Array(40), 300)).toThrow(/no JPEG/);
    expect(() => withPngDensity(new Uint8Array(40), 300)).toThrow(/no PNG/);
  });
});
