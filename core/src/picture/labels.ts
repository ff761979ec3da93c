/** What each pixel shows. */
export interface Labels {
  /** The label that covers most of the pixel. */
  readonly first: Uint8Array;
  /** The label that covers the rest. */
  readonly second: Uint8Array;
  /** How much of the pixel the first label covers, 128 to 255 for a half to all of it. */
  readonly cover: Uint8Array;
}

/** Labels of a picture that is known exactly: every pixel is all of one color. */
export function labelsWithoutEdges(first: Uint8Array): Labels {
  return { first, second: first, cover: new Uint8Array(first.length).fill(255) };
}

/** Gives unseen pixels the labels of the nearest seen ones, in place, so that nothing breaks apart there. */
export function fillUnseen(labels: Labels, unseen: Uint8Array, width: number, height: number): void {
  const { first, second, cover } = labels;
  const open = Uint8Array.from(unseen);
  let ring: number[] = [];
  for (let pixel = 0; pixel < open.length; pixel += 1)
    if (open[pixel] && nextSeen(pixel) >= 0) ring.push(pixel);
  function nextSeen(pixel: number): number {
    const x = pixel % width;
    if (x > 0 && !open[pixel - 1]) return pixel - 1;
    if (x < width - 1 && !open[pixel + 1]) return pixel + 1;
    if (pixel >= width && !open[pixel - width]) return pixel - width;
    if (pixel < width * (height - 1) && !open[pixel + width]) return pixel + width;
    return -1;
  }
  while (ring.length > 0) {
    const sources = ring.map(nextSeen);
    const further: number[] = [];
    ring.forEach((pixel, index) => {
      const source = sources[index]!;
      if (!open[pixel] || source < 0) return;
      first[pixel] = first[source]!;
      second[pixel] = first[source]!;
      cover[pixel] = 255;
    });
    for (const pixel of ring) open[pixel] = 0;
    for (const pixel of ring) {
      const x = pixel % width;
      for (const next of [
        x > 0 ? pixel - 1 : -1,
        x < width - 1 ? pixel + 1 : -1,
        pixel - width,
        pixel + width,
      ]) {
        if (next >= 0 && next < open.length && open[next]) further.push(next);
      }
    }
    ring = [...new Set(further)];
  }
}
