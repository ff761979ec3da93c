/** How far a puddle's edge strays from its circle, as a share of its radius. */
const STRAY = 0.035;
const STEPS = 40;
/** Waves around the edge: how many, and how much of the stray each has. */
const WAVES = [
  { count: 2, share: 0.5 },
  { count: 3, share: 0.35 },
  { count: 5, share: 0.15 },
] as const;

/** A number from 0 to 1 that is always the same for the same seed and wave. */
function turn(seed: number, wave: number): number {
  const value = Math.sin(12.9898 * (seed + 1) + 78.233 * (wave + 1)) * 43758.5453;
  return value - Math.floor(value);
}

/**
 * The edge of a laid puddle as an outline of [x, y], nearly round as paint lies, never a perfect ring. It covers what the circle
 * would; the same place and size always give the same edge.
 */
export function puddleOutline(x: number, y: number, radius: number): [number, number][] {
  const seed = Math.round(x) + 7 * Math.round(y) + Math.round(10 * radius);
  return Array.from({ length: STEPS }, (_, step) => {
    const angle = (2 * Math.PI * step) / STEPS;
    const stray = WAVES.reduce(
      (sum, { count, share }, wave) => sum + share * Math.sin(count * angle + 2 * Math.PI * turn(seed, wave)),
      0,
    );
    const far = radius * (1 + STRAY * stray);
    return [x + far * Math.cos(angle), y + far * Math.sin(angle)];
  });
}

/** The same as an SVG path, its corners rounded. */
export function puddlePath(x: number, y: number, radius: number): string {
  const points = puddleOutline(x, y, radius);
  const middle = (index: number) => {
    const [a, b] = [points[index % STEPS]!, points[(index + 1) % STEPS]!];
    return `${((a[0] + b[0]) / 2).toFixed(2)} ${((a[1] + b[1]) / 2).toFixed(2)}`;
  };
  const curves = points
    .map((_, index) => {
      const [px, py] = points[(index + 1) % STEPS]!;
      return `Q${px.toFixed(2)} ${py.toFixed(2)} ${middle(index + 1)}`;
    })
    .join('');
  return `M${middle(0)}${curves}Z`;
}
