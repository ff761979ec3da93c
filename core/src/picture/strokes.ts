import type { Labels } from './labels.ts';

const RIDGE_COVER = 0.2;
const RIDGE_RISE = 0.1;

/**
 * Keeps thin strokes whole, in place: where a stroke narrows to less than a pixel it covers less than half
 * of any, but its cover still runs along a ridge. Pixels on the ridge get its label; covers stay as they are.
 */
export function keepStrokes(labels: Labels, label: number, width: number, height: number): void {
  const { first, second, cover } = labels;
  const share = new Float32Array(first.length);
  for (let pixel = 0; pixel < share.length; pixel += 1) {
    if (first[pixel] === label) share[pixel] = cover[pixel]! / 255;
    else if (second[pixel] === label) share[pixel] = 1 - cover[pixel]! / 255;
  }
  const ridge: number[] = [];
  for (let y = 2; y < height - 2; y += 1) {
    for (let x = 2; x < width - 2; x += 1) {
      const pixel = y * width + x;
      const own = share[pixel]!;
      if (first[pixel] === label || own < RIDGE_COVER) continue;
      for (const step of [1, width, width + 1, width - 1]) {
        if (own < share[pixel - step]! || own < share[pixel + step]!) continue;
        if (own - Math.max(share[pixel - 2 * step]!, share[pixel + 2 * step]!) < RIDGE_RISE) continue;
        ridge.push(pixel);
        break;
      }
    }
  }
  for (const pixel of ridge) {
    second[pixel] = first[pixel]!;
    first[pixel] = label;
    cover[pixel] = 255 - cover[pixel]!;
  }
}
