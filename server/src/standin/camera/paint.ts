import { seededRandom } from '@icy-ribbon/core/random';
import { scatterCells, type CellGrid } from './cells.ts';
import { layered, valueNoise, type Field } from './noise.ts';
import { growPetals, locate, type Petal } from './petals.ts';
import type { Scene, SceneTruth } from './scene.ts';

export interface Painting {
  readonly widthPx: number;
  readonly heightPx: number;
  /** RGB, 8 bits each, row by row. */
  readonly pixels: Uint8Array;
  readonly truth: SceneTruth;
}

type Rgb = readonly [number, number, number];

/**
 * Paints a blown pour: a base, petals of flowing color bands, cells with their rims, lacing along the
 * bands and some mud, and counts what it painted.
 *
 * The same scene always gives the same picture. This is an invented picture for demonstration and for
 * testing measurements, not a simulation of paint.
 *
 * @param longSidePx length of the picture's longer side
 */
export function paintScene(scene: Scene, longSidePx: number): Painting {
  const scale = longSidePx / Math.max(scene.widthMm, scene.heightMm);
  const widthPx = Math.round(scene.widthMm * scale);
  const heightPx = Math.round(scene.heightMm * scale);
  const brush = makeBrush(scene);
  const pixels = new Uint8Array(widthPx * heightPx * 3);
  const counts = new Map<string, number>();
  const grain = seededRandom(scene.seed + 99);
  let faceCount = 0;
  for (let row = 0; row < heightPx; row += 1) {
    for (let column = 0; column < widthPx; column += 1) {
      const x = (column + 0.5) / scale;
      const y = (row + 0.5) / scale;
      const touch = brush(x, y);
      if (touch.label) {
        faceCount += 1;
        counts.set(touch.label, (counts.get(touch.label) ?? 0) + 1);
      }
      const light = touch.light + 0.024 * (grain() - 0.5);
      const offset = 3 * (row * widthPx + column);
      for (let channel = 0; channel < 3; channel += 1) {
        pixels[offset + channel] = toByte(touch.color[channel]! * light + touch.gloss);
      }
    }
  }
  const shares: Record<string, number> = {};
  for (const [label, count] of counts) shares[label] = count / faceCount;
  const coloredCm2 = ((1 - (shares.base ?? 0)) * faceCount) / (scale * scale) / 100;
  return {
    widthPx,
    heightPx,
    pixels,
    truth: {
      shares,
      cells: {
        count: brush.cells.count,
        medianMm: median(brush.cells.radii) * 2,
        perCm2: brush.cells.count / coloredCm2,
      },
    },
  };
}

interface Touch {
  readonly label: string | null;
  readonly color: Rgb;
  readonly light: number;
  readonly gloss: number;
}

type Brush = ((x: number, y: number) => Touch) & { cells: CellGrid };

const TABLE: Rgb = [0.62, 0.64, 0.65];
const MUD: Rgb = [0.18, 0.165, 0.14];

function makeBrush(scene: Scene): Brush {
  const random = seededRandom(scene.seed);
  const petals = growPetals(scene, random);
  const wander = layered(valueNoise(scene.seed + 1));
  const sway = layered(valueNoise(scene.seed + 2));
  const flow = layered(valueNoise(scene.seed + 3));
  const colors = scene.colorHexes.map(linearRgb);
  const base = linearRgb(scene.baseHex);
  const activator = linearRgb(scene.activatorHex);
  const middle = { x: scene.widthMm * 0.49, y: scene.heightMm * 0.52 };
  const placeAt = (x: number, y: number) => warpedPlace(scene, petals, middle, wander, sway, x, y);
  const coloredCm2 = estimateColored(scene, placeAt);
  const cells = scatterCells(
    Math.round(coloredCm2 * scene.cellsPerCm2),
    scene.cellMedianMm,
    scene.widthMm,
    scene.heightMm,
    (x, y, radiusMm) => {
      const place = placeAt(x, y);
      return place.depthMm > radiusMm + 1.5 && flow(x / 22, y / 22) > 0.34 + 0.2 * place.along;
    },
    random,
  );

  const brush = (x: number, y: number): Touch => {
    if (scene.shape === 'round') {
      const radius = Math.hypot(x - scene.widthMm / 2, y - scene.heightMm / 2);
      if (radius > scene.widthMm / 2) return { label: null, color: TABLE, light: 1, gloss: 0 };
    }
    const place = placeAt(x, y);
    const light = 0.97 + 0.09 * (wander(x / 160 + 9, y / 160) - 0.5) - 0.05 * (y / scene.heightMm);
    const shine = flow(x / 30 + 50, y / 30);
    const gloss = shine > 0.62 ? (shine - 0.62) * 0.05 : 0;
    const painted = { light, gloss };
    if (place.depthMm < 0) {
      const pooled = Math.max(0, 1 + place.depthMm / 4) * 0.05;
      return { label: 'base', color: mix(base, colors[0] ?? base, pooled), ...painted };
    }
    const band = bandAt(place, colors.length, petals[place.petal], flow, x, y);
    const { depthMm, cell } = cells.depth(x, y);
    if (cell && depthMm > -scene.lacingWidthMm) {
      const inside = depthMm > 0;
      const index = (band.index + 1 + (Math.floor(cell.x * 7) % 2)) % colors.length;
      const dome = inside ? 1 + 0.06 * (depthMm / cell.radiusMm) : 1.02;
      return inside
        ? { label: `color ${index + 1}`, color: colors[index]!, light: light * dome, gloss }
        : { label: 'activator', color: activator, ...painted };
    }
    if (flow(x / 34 + 80, y / 34 + 40) < mudLevel(scene.mud)) {
      const muddied = mix(colors[band.index]!, MUD, 0.7);
      return { label: 'mud', color: muddied, ...painted };
    }
    const laced = flow(x / 14 + 7, y / 14) > 0.42;
    const onEdge = band.edgeMm < scene.lacingWidthMm && laced;
    const onRim = place.depthMm < scene.lacingWidthMm * 1.4;
    if (onEdge || onRim) return { label: 'activator', color: activator, ...painted };
    const streak = 0.9 + 0.22 * flow(place.along * 5 + place.petal * 13, place.across * 26);
    return {
      label: `color ${band.index + 1}`,
      color: colors[band.index]!,
      light: light * streak,
      gloss,
    };
  };
  return Object.assign(brush, { cells });
}

/** Paint never runs straight: places are looked up where a smooth random field has pushed them. */
function warpedPlace(
  scene: Scene,
  petals: readonly Petal[],
  middle: { x: number; y: number },
  wander: Field,
  sway: Field,
  x: number,
  y: number,
): ReturnType<typeof locate> {
  const span = Math.min(scene.widthMm, scene.heightMm);
  const push = span * 0.16;
  const coarse = span / 3.2;
  const fine = span / 14;
  const dx = (wander(x / coarse, y / coarse) - 0.5) * push + (sway(x / fine, y / fine) - 0.5) * 7;
  const dy = (sway(x / coarse + 40, y / coarse) - 0.5) * push + (wander(x / fine, y / fine) - 0.5) * 7;
  return locate(petals, x - middle.x + dx, y - middle.y + dy);
}

/** Which color band a point of a petal lies in, and how far from the band's edge. */
function bandAt(
  place: ReturnType<typeof locate>,
  count: number,
  petal: Petal | undefined,
  flow: Field,
  x: number,
  y: number,
): { index: number; edgeMm: number } {
  const shift = (petal?.shift ?? 0) * count;
  const wave = 2.6 * (flow(x / 26, y / 26) - 0.5) + 0.9 * (flow(x / 7, y / 7) - 0.5);
  const coordinate = (1 - Math.abs(place.across)) * count * 0.85 + place.along * 1.6 + shift + wave;
  const index = ((Math.floor(coordinate) % count) + count) % count;
  const fraction = coordinate - Math.floor(coordinate);
  const bandMm = ((petal?.halfWidthMm ?? 10) / count) * 0.9;
  return { index, edgeMm: Math.min(fraction, 1 - fraction) * bandMm };
}

/** Colored area in square centimeters, from a coarse grid of points. */
function estimateColored(scene: Scene, placeAt: (x: number, y: number) => { depthMm: number }): number {
  const stepMm = 4;
  let inside = 0;
  for (let y = stepMm / 2; y < scene.heightMm; y += stepMm) {
    for (let x = stepMm / 2; x < scene.widthMm; x += stepMm) {
      if (placeAt(x, y).depthMm > 0) inside += 1;
    }
  }
  return (inside * stepMm * stepMm) / 100;
}

/** The level of the noise field below which about this share of its area lies (field is near normal). */
function mudLevel(share: number): number {
  return share <= 0 ? -1 : 0.5 + 0.145 * normalQuantile(Math.min(0.5, share));
}

/** Rough inverse of the normal distribution (logistic approximation), good enough to set a level. */
function normalQuantile(p: number): number {
  return Math.log(p / (1 - p)) / 1.702;
}

function linearRgb(hex: string): Rgb {
  const channel = (start: number) => (Number.parseInt(hex.slice(start, start + 2), 16) / 255) ** 2.2;
  return [channel(1), channel(3), channel(5)];
}

function mix(a: Rgb, b: Rgb, share: number): Rgb {
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}

const GAMMA_STEPS = 4096;
const GAMMA = Uint8Array.from({ length: GAMMA_STEPS + 1 }, (_, step) =>
  Math.round(255 * (step / GAMMA_STEPS) ** (1 / 2.2)),
);

function toByte(linear: number): number {
  return GAMMA[Math.round(GAMMA_STEPS * Math.min(1, Math.max(0, linear)))]!;
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
