import { seededRandom } from '../src/base/random/index.ts';
import type { MeasureInput, PhotoPixels } from '../src/picture/index.ts';

const [WIDTH_MM, HEIGHT_MM, PX_PER_MM, RIM] = [60, 45, 8, 20];
const [WIDTH, HEIGHT] = [WIDTH_MM * PX_PER_MM + 2 * RIM, HEIGHT_MM * PX_PER_MM + 2 * RIM];
export const FLAT_HEX = { base: '#17161a', blue: '#1f5fa8', rose: '#c6357a', gold: '#e3a42b' } as const;

/** A photo straight from above: what lies at each place of the face in millimeters, with a little noise. */
export function flatPhoto(hexAt: (x: number, y: number) => string): PhotoPixels {
  const random = seededRandom(3);
  const data = new Uint8Array(WIDTH * HEIGHT * 3);
  for (let row = 0; row < HEIGHT; row += 1) {
    for (let column = 0; column < WIDTH; column += 1) {
      const [x, y] = [(column + 0.5 - RIM) / PX_PER_MM, (row + 0.5 - RIM) / PX_PER_MM];
      const off = x < 0 || y < 0 || x >= WIDTH_MM || y >= HEIGHT_MM;
      const hex = off ? '#6f5138' : hexAt(x, y);
      for (let channel = 0; channel < 3; channel += 1) {
        const value = Number.parseInt(hex.slice(1 + 2 * channel, 3 + 2 * channel), 16);
        data[3 * (row * WIDTH + column) + channel] = Math.max(0, Math.min(255, value + 4 * (random() - 0.5)));
      }
    }
  }
  return { widthPx: WIDTH, heightPx: HEIGHT, channels: 3, data };
}

export const flatInput: MeasureInput = {
  corners: [
    [RIM, RIM],
    [WIDTH - RIM, RIM],
    [WIDTH - RIM, HEIGHT - RIM],
    [RIM, HEIGHT - RIM],
  ],
  widthMm: WIDTH_MM,
  heightMm: HEIGHT_MM,
  palette: Object.entries(FLAT_HEX).map(([name, hex]) => ({ name, hex })),
  base: 'base',
};

/** The left half base, then blue above rose. */
export const halves = (x: number, y: number) =>
  x < 30 ? FLAT_HEX.base : y < 22.5 ? FLAT_HEX.blue : FLAT_HEX.rose;
