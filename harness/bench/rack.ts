import { seededRandom } from '@icy-ribbon/core/base/random';
import { touchDryHours } from '@icy-ribbon/core/flow/drying';
import { driftMm } from '@icy-ribbon/core/flow/film';
import { resinAmounts, USUAL_COAT, USUAL_KIT } from '@icy-ribbon/core/piece/finish';
import { cropBench, faceAtAGlance, findCrops } from '@icy-ribbon/core/picture/crop';
import type { PhotoPixels } from '@icy-ribbon/core/picture';

const WIDE = 4000;
const HIGH = 3000;

/** A photo of 12 megapixels: blots of four colors on a ground. */
export function madeUpPhoto(): PhotoPixels {
  const random = seededRandom(12);
  const data = new Uint8Array(3 * WIDE * HIGH).fill(225);
  const colors = [
    [156, 74, 44],
    [38, 51, 63],
    [138, 154, 91],
    [111, 147, 168],
  ] as const;
  for (let blot = 0; blot < 300; blot += 1) {
    const [cx, cy, r] = [random() * WIDE, random() * HIGH, 40 + random() * 220];
    const color = colors[blot % colors.length]!;
    for (let y = Math.max(0, Math.floor(cy - r)); y < Math.min(HIGH, cy + r); y += 1) {
      for (let x = Math.max(0, Math.floor(cx - r)); x < Math.min(WIDE, cx + r); x += 1) {
        if ((x - cx) ** 2 + (y - cy) ** 2 < r * r) data.set(color, 3 * (y * WIDE + x));
      }
    }
  }
  return { widthPx: WIDE, heightPx: HIGH, channels: 3, data };
}

/** Everything between a photo that is decoded and its best parts. */
export function cropsOf(photo: PhotoPixels): number {
  const face = faceAtAGlance(photo, {
    corners: [
      [200, 150],
      [3800, 160],
      [3790, 2850],
      [210, 2840],
    ],
    ...{ widthMm: 400, heightMm: 300, base: 'ground' },
    palette: [
      { name: 'ground', hex: '#e1e1e1' },
      { name: 'rust', hex: '#9c4a2c' },
      { name: 'slate', hex: '#26333f' },
      { name: 'lichen', hex: '#8a9a5b' },
      { name: 'rain', hex: '#6f93a8' },
    ],
  });
  const random = seededRandom(3);
  const cells = Array.from({ length: 1500 }, () => ({
    xMm: 400 * random(),
    yMm: 300 * random(),
    diameterMm: 1 + 5 * random(),
  }));
  const none = new Uint8Array(300 * 225);
  const masks = { widthPx: 300, heightPx: 225, net: none, mud: none };
  return findCrops(cropBench({ face, cells, masks, faults: [], shape: 'rectangle' }), 4 / 5).length;
}

/** What is worked out anew while a value is dragged: drying, drift and a coat. */
export function dragged(): number {
  const film = { technique: 'bloom', thickMm: 2, densityGPerMl: 1.1, addedWater: 0.1 } as const;
  const { hours } = touchDryHours(film);
  const drift = driftMm({
    ...{ thicknessMm: 2, viscosityPaS: 2, densityKgM3: 1100, slopeMmPerM: 2, lengthMm: 400 },
    dryingSeconds: 30_000,
  });
  const { volumeMl } = resinAmounts({
    ...{ areaMm2: 160_000, edgeMm: 1600, sideDepthMm: 18, ...USUAL_COAT, ...USUAL_KIT },
  });
  return hours + drift + volumeMl;
}
