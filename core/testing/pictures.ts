/** Simple pictures with known measures, for tests of what is seen in pictures. */

/** Fills a picture by asking of every pixel's middle. */
export function raster(width: number, height: number, labelAt: (x: number, y: number) => number): Uint8Array {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) out[y * width + x] = labelAt(x + 0.5, y + 0.5);
  }
  return out;
}

export const inDisc = (x: number, y: number, cx: number, cy: number, radius: number): boolean =>
  (x - cx) ** 2 + (y - cy) ** 2 <= radius * radius;

/** Inside an ellipse turned by an angle in radians. */
export function inEllipse(
  x: number,
  y: number,
  [cx, cy, major, minor, angle]: readonly [number, number, number, number, number],
): boolean {
  const along = (x - cx) * Math.cos(angle) + (y - cy) * Math.sin(angle);
  const across = (y - cy) * Math.cos(angle) - (x - cx) * Math.sin(angle);
  return (along / major) ** 2 + (across / minor) ** 2 <= 1;
}
