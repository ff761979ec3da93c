const SIDE_PX = 5;

/** The mean color of a few pixels around a place of a photo, as #rrggbb. */
export function colorUnder(photo: CanvasImageSource, [x, y]: readonly [number, number]): string {
  const canvas = document.createElement('canvas');
  canvas.width = SIDE_PX;
  canvas.height = SIDE_PX;
  const context = canvas.getContext('2d')!;
  const corner = (at: number) => Math.round(at) - Math.floor(SIDE_PX / 2);
  context.drawImage(photo, corner(x), corner(y), SIDE_PX, SIDE_PX, 0, 0, SIDE_PX, SIDE_PX);
  return meanColor(context.getImageData(0, 0, SIDE_PX, SIDE_PX).data);
}

/** The mean of pixels given as red, green, blue and alpha in turn, as #rrggbb. */
export function meanColor(rgba: ArrayLike<number>): string {
  const sums = [0, 0, 0];
  for (let at = 0; at < rgba.length; at += 1) {
    if (at % 4 < 3) sums[at % 4]! += rgba[at]!;
  }
  const mean = sums.map((sum) => Math.round((4 * sum) / rgba.length));
  return `#${mean.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
}
