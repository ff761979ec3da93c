import { noiseAt } from './noise.ts';
import type { FilmLook } from './scene.ts';
import { BUCKET_M, SEED_NUMBERS } from './seeds.ts';

/** What the sheet is at a place. */
export interface Net {
  /** Whether a hole is here, 0 to 1. */
  hole: number;
  /** How far the net stands out, m. */
  relief: number;
  /** The dark ring inside a hole's rim, 0 to 1. */
  ring: number;
  /** Whether the core of a large hole shows the color after the next, 0 to 1. */
  core: number;
  /** Thickness of the paint gathered in the net, m. */
  thick?: number;
  /** Which hole is nearest, by its number among the packed. */
  seed?: number;
}

/** Numbers of the net: assumptions of the picture. */
export const NET = {
  /** Net between two holes at the least, m. */
  leastM: 1.3e-4,
  reliefM: 4.5e-5,
  /** Corners of holes are rounded over this share of the way between seeds. */
  round: 0.12,
  wobbleM: 0.9e-3,
  farM: 8e-3,
} as const;

const clamp01 = (value: number): number => (value < 0 ? 0 : value > 1 ? 1 : value);

/**
 * Finds the net at a place: between each hole and its neighbors a strand is left, as wide as the sheet's volume asks for (Voronoi cells clipped).
 *
 * @returns false where no hole is near: the sheet is whole
 */
export function netAt(
  look: Pick<FilmLook, 'seeds' | 'netM'>,
  noise: Float32Array,
  x: number,
  y: number,
  sheetM: number,
  pixelM: number,
  out: Net,
): boolean {
  const { numbers, buckets, across, down } = look.seeds;
  const [column, row] = [Math.floor(x / BUCKET_M), Math.floor(y / BUCKET_M)];
  let [d1, d2, d3, first] = [9, 9, 9, -1];
  for (let reach = 1; reach <= 3 && (d2 > 8 || (reach < 3 && d2 > reach * BUCKET_M)); reach += 1) {
    [d1, d2, d3, first] = [9, 9, 9, -1];
    for (let j = Math.max(0, row - reach); j <= Math.min(down - 1, row + reach); j += 1) {
      for (let i = Math.max(0, column - reach); i <= Math.min(across - 1, column + reach); i += 1) {
        const start = buckets[2 * (j * across + i)]!;
        const end = start + buckets[2 * (j * across + i) + 1]!;
        for (let seed = start; seed < end; seed += 1) {
          const at = SEED_NUMBERS * seed;
          const [dx, dy] = [x - numbers[at]!, y - numbers[at + 1]!];
          const u = numbers[at + 4]! * dx + numbers[at + 5]! * dy;
          const v = numbers[at + 6]! * dx + numbers[at + 7]! * dy;
          const d = Math.sqrt(u * u + v * v) / numbers[at + 3]!;
          if (d < d1) {
            d3 = d2;
            d2 = d1;
            d1 = d;
            first = at;
          } else if (d < d2) {
            d3 = d2;
            d2 = d;
          } else if (d < d3) d3 = d;
        }
      }
    }
  }
  if (first < 0 || d1 > NET.farM || sheetM > 1.6 * look.netM) return false;
  const [radius, kind] = [numbers[first + 2]!, numbers[first + 8]!];
  const soft = NET.round * (d1 + d2) * 0.5;
  const gap = d2 - d1 - 0.7 * soft * Math.log(1 + Math.exp((d2 - d3) / soft));
  const wobble = 1 + 0.12 * noiseAt(noise, x / NET.wobbleM, y / NET.wobbleM, 77);
  const open = Math.min(0.9, Math.max(0, 1 - sheetM / (look.netM * (0.7 + 0.6 * kind))));
  const strand = 1 - Math.sqrt(open);
  const inward = Math.min(
    0.5 * (gap - strand * (d1 + Math.min(d2, 2 * d1 + 2e-3)) * wobble) - 0.5 * NET.leastM,
    0.9 * radius - d1,
  );
  out.seed = first / SEED_NUMBERS;
  out.hole = clamp01(0.5 + (0.8 * inward) / pixelM);
  out.thick = 0.6 * look.netM;
  const rim = (Math.max(0, -inward) - 1.5e-4) / 4e-4;
  out.relief = (1 - out.hole) * NET.reliefM * Math.exp(-rim * rim);
  out.ring = out.hole * Math.exp(-((inward / 2.2e-4) ** 2));
  out.core = 0;
  if (out.hole > 0 && kind > 0.35) {
    const reach = Math.min(radius, 0.5 * (d1 + d2) * (1 - strand) - 2 * NET.leastM);
    const edge = d1 * (1 + 0.25 * noiseAt(noise, x / 1.1e-3, y / 1.1e-3, 5)) - (0.25 + 0.6 * kind) * reach;
    out.core = out.hole * clamp01(0.5 - (0.8 * edge) / pixelM);
  }
  return true;
}
