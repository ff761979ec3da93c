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
 * A card of 150 x 200 mm on a dark table with a trail down it for each color, from a start line 20 mm below its top, seen a little from the side.
 *
 * @param trails color and length, mm, from left to right
 */
export function raceCard(trails: readonly { readonly hex: string; readonly mm: number }[]): Promise<Buffer> {
  const lanes = trails
    .map(({ hex, mm }, index) => {
      const x = ((index + 0.5) * 150) / trails.length - 4;
      return `<rect x="${x}" y="16" width="8" height="${mm + 4}" rx="4" fill="${hex}"/>`;
    })
    .join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1000" height="1300" viewBox="-25 -30 200 260">
    <rect x="-25" y="-30" width="200" height="260" fill="#2b2622"/>
    <g transform="rotate(2 75 100)"><rect width="150" height="200" fill="#e9e6de"/>${lanes}</g></svg>`;
  return sharp(Buffer.from(svg)).blur(0.6).jpeg({ quality: 88 }).toBuffer();
}

/** A support on a brown table, its face filled with a color; what lies on it is SVG in its millimeters. */
export function faceShot(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  coatHex: string,
  on: string,
): Promise<Buffer> {
  const margin = 0.15 * Math.min(widthMm, heightMm);
  const [wide, high] = [widthMm + 2 * margin, heightMm + 2 * margin];
  const scale = 1200 / Math.max(wide, high);
  const box = `viewBox="${-margin} ${-margin} ${wide} ${high}" width="${wide * scale}" height="${high * scale}"`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${box}>
    <rect x="${-margin}" y="${-margin}" width="${wide}" height="${high}" fill="#7a4a2a"/>
    <g transform="rotate(1.5 ${widthMm / 2} ${heightMm / 2})">
      <rect width="${widthMm}" height="${heightMm}" fill="${coatHex}"/>${on}</g></svg>`;
  return sharp(Buffer.from(svg)).blur(0.6).jpeg({ quality: 90 }).toBuffer();
}

/** A swatch beside a gray card, 600 x 400: the card's middle at 150, 200, the swatch's at 420, 200. */
export function swatchShot(hex: string): Promise<Buffer> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400">
    <rect width="600" height="400" fill="#e8e4da"/>
    <rect x="80" y="120" width="140" height="160" fill="#777777"/>
    <circle cx="420" cy="200" r="80" fill="${hex}"/></svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 92 }).toBuffer();
}
