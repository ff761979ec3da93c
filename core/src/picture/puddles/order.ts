/** Places in the order in which they follow each other. */
export interface Order {
  readonly shape: 'row' | 'ring';
  readonly order: readonly number[];
}

/** A ring has at least so many, all about as far from its middle, and nowhere a wider opening. */
const LEAST_OF_RING = 4;
const RING_SPREAD = 0.25;
const RING_OPENING = (150 / 180) * Math.PI;

/** How places follow each other: around their middle where they lie in a ring, else along their longest way. */
export function orderOf(places: readonly { readonly x: number; readonly y: number }[]): Order {
  const n = places.length;
  const [cx, cy] = [
    places.reduce((sum, { x }) => sum + x, 0) / n,
    places.reduce((sum, { y }) => sum + y, 0) / n,
  ];
  const radii = places.map(({ x, y }) => Math.hypot(x - cx, y - cy));
  const usual = radii.reduce((sum, radius) => sum + radius, 0) / n;
  const spread = Math.sqrt(radii.reduce((sum, radius) => sum + (radius - usual) ** 2, 0) / n) / usual;
  const angles = places.map(({ x, y }) => Math.atan2(y - cy, x - cx));
  const around = angles.map((_, index) => index).sort((a, b) => angles[a]! - angles[b]!);
  const opening = Math.max(
    ...around.map((index, at) => {
      const next = angles[around[(at + 1) % n]!]!;
      return (next - angles[index]! + 2 * Math.PI) % (2 * Math.PI);
    }),
  );
  if (n >= LEAST_OF_RING && spread < RING_SPREAD && opening < RING_OPENING) {
    return { shape: 'ring', order: around };
  }
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of places) {
    xx += (x - cx) ** 2;
    xy += (x - cx) * (y - cy);
    yy += (y - cy) ** 2;
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  const along = places.map(({ x, y }) => x * Math.cos(angle) + y * Math.sin(angle));
  return { shape: 'row', order: along.map((_, index) => index).sort((a, b) => along[a]! - along[b]!) };
}
