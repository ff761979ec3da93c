import sharp from 'sharp';

/** A JPEG as a phone held sideways writes it: 90 degrees off, with the turn noted and a place inside. */
export function sidewaysPhoto(): Promise<Buffer> {
  return sharp({ create: { width: 400, height: 300, channels: 3, background: '#46607a' } })
    .composite([
      {
        input: { create: { width: 120, height: 120, channels: 3, background: '#b98a2b' } },
        left: 20,
        top: 20,
      },
    ])
    .jpeg()
    .withExif({ IFD0: { Orientation: '6' }, IFD3: { GPSLatitudeRef: 'N' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
}

/**
 * A card of 150 x 200 mm on a dark table with a trail down it for each color, seen a little from the side.
 *
 * @param trails color and length, mm, from left to right
 */
export function raceCard(trails: readonly { readonly hex: string; readonly mm: number }[]): Promise<Buffer> {
  const lanes = trails
    .map(({ hex, mm }, index) => {
      const x = ((index + 0.5) * 150) / trails.length - 4;
      return `<rect x="${x}" y="18" width="8" height="${mm}" rx="4" fill="${hex}"/>`;
    })
    .join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1000" height="1300" viewBox="-25 -30 200 260">
    <rect x="-25" y="-30" width="200" height="260" fill="#2b2622"/>
    <g transform="rotate(2 75 100)"><rect width="150" height="200" fill="#e9e6de"/>${lanes}</g></svg>`;
  return sharp(Buffer.from(svg)).blur(0.6).jpeg({ quality: 88 }).toBuffer();
}
