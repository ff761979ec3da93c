import { noiseAt } from './noise.ts';
import type { FilmLook } from './scene.ts';
import { netAt, type Net } from './net.ts';

/**
 * How thickness becomes what is seen. All are assumptions of the picture, chosen so that it looks like paint; the page's shader
 * (`web/src/worker/painter`) draws by the same numbers.
 */
export const LOOK = {
  /** An edge of a color lies where it is this thick, m, more or less by noise; thick paint has an even edge. */
  edgeM: 4e-5,
  ragged: 0.44,
  evenFromM: 6e-4,
  /** Size of the noise along edges, standing and carried along, m. */
  standingM: 2.4e-3,
  carriedM: 1.6e-3,
  /** Veins of a neighbor's color: width of the noise band, most of the color, size, m. */
  vein: 0.09,
  veinShare: 0.4,
  veinM: 2.2e-3,
  streakM: 0.7e-3,
  /** Thick paint is this much deeper than thin paint, over this thickness, m. */
  deeper: 0.16,
  deepM: 4e-4,
  /** The net's relief is drawn in full by pixels this small, m. */
  reliefM: 2.5e-4,
} as const;

/** What a pixel shows before it is lit. */
export interface Composed {
  r: number;
  g: number;
  b: number;
  /** Surface with what stands out of it, m. */
  surface: number;
  /** Whether a hole in the sheet is seen here, 0 to 1; -1 where there is no sheet. */
  hole: number;
}

/** Weights of a cubic B-spline and of its slope at a place between two cells. */
export function splineWeights(t: number, weights: Float64Array, slopes: Float64Array): void {
  const a = 1 - t;
  weights[0] = (a * a * a) / 6;
  weights[1] = (4 - 6 * t * t + 3 * t * t * t) / 6;
  weights[2] = (4 - 6 * a * a + 3 * a * a * a) / 6;
  weights[3] = (t * t * t) / 6;
  slopes[0] = (-a * a) / 2;
  slopes[1] = -2 * t + 1.5 * t * t;
  slopes[2] = 2 * a - 1.5 * a * a;
  slopes[3] = (t * t) / 2;
}

const clamp01 = (value: number): number => (value < 0 ? 0 : value > 1 ? 1 : value);

/** Looks at a film through pixels of one size. */
export function composer(look: FilmLook, noise: Float32Array, pixelM: number) {
  const { layers, thickness, stride, cellM, rows, sheet } = look;
  const count = layers.length;
  const [wx, sx, wy, sy] = [0, 1, 2, 3].map(() => new Float64Array(4)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const depth = new Float64Array(count);
  const cover = new Float64Array(count);
  // A relief narrower than a pixel would only glitter.
  const stands = Math.min(1, LOOK.reliefM / pixelM);
  const net: Net = { hole: 0, relief: 0, ring: 0, core: 0 };

  /** Composes the pixel whose middle lies at a place of the face, m from its top left corner. */
  return (x: number, y: number, out: Composed): void => {
    const [u, v] = [x / cellM + 1.5, y / cellM + 1.5];
    const column = Math.min(stride - 3, Math.max(1, Math.floor(u)));
    const row = Math.min(rows + 1, Math.max(1, Math.floor(v)));
    splineWeights(u - column, wx, sx);
    splineWeights(v - row, wy, sy);
    const first = (row - 1) * stride + column - 1;
    const splined = (field: Float32Array): number => {
      let sum = 0;
      for (let j = 0; j < 4; j += 1) {
        const at = first + j * stride;
        sum +=
          wy[j]! *
          (wx[0]! * field[at]! + wx[1]! * field[at + 1]! + wx[2]! * field[at + 2]! + wx[3]! * field[at + 3]!);
      }
      return sum;
    };
    const carriedX = x - splined(look.grainX);
    const carriedY = y - splined(look.grainY);
    const standing = (kind: number) => noiseAt(noise, x / LOOK.standingM, y / LOOK.standingM, kind);
    const carried = (kind: number) =>
      noiseAt(noise, carriedX / LOOK.carriedM, carriedY / LOOK.carriedM, kind);

    let [surface, ridges] = [0, 0];
    for (let layer = 0; layer < count; layer += 1) {
      const field = thickness[layer]!;
      let [h, across, down] = [0, 0, 0];
      for (let j = 0; j < 4; j += 1) {
        const at = first + j * stride;
        const [a, b, c, d] = [field[at]!, field[at + 1]!, field[at + 2]!, field[at + 3]!];
        const line = wx[0]! * a + wx[1]! * b + wx[2]! * c + wx[3]! * d;
        h += wy[j]! * line;
        down += sy[j]! * line;
        across += wy[j]! * (sx[0]! * a + sx[1]! * b + sx[2]! * c + sx[3]! * d);
      }
      depth[layer] = h;
      surface += h;
      if (h < 1e-9) {
        cover[layer] = 0;
        continue;
      }
      let edge: number = LOOK.edgeM;
      if (h < LOOK.evenFromM) edge *= Math.exp(LOOK.ragged * (0.3 * standing(layer) + carried(layer + 7)));
      const steep = (Math.hypot(across, down) / cellM) * pixelM + 1e-7;
      cover[layer] = clamp01(0.5 + (h - edge) / steep);
    }
    out.hole = -1;
    net.hole = net.relief = net.ring = net.core = 0;
    if (sheet > 0 && depth[sheet]! > 4e-6) {
      const isSheet = netAt(look, noise, x, y, depth[sheet]!, pixelM, net);
      if (isSheet) {
        cover[sheet] = (1 - net.hole) * clamp01((depth[sheet]! - 6e-6) / 6e-6);
        depth[sheet] = Math.max(depth[sheet]!, net.thick!);
        out.hole = net.hole;
        if (net.core > 0) openNext(net.core);
      } else if (cover[sheet]! > 0.5) out.hole = 0;
    }
    let [r, g, b, left] = [0, 0, 0, 1];
    for (let layer = count - 1; layer >= 0; layer -= 1) {
      const seen = cover[layer]!;
      if (layer > 0) ridges += seen;
      if (seen <= 0 || left < 2e-3) continue;
      const { rgb, depthM, isVeined } = layers[layer]!;
      const share = left * seen * (layer === 0 ? 1 : 1 - Math.exp(-depth[layer]! / depthM));
      let tone = 1 + 0.375 * LOOK.deeper - LOOK.deeper * (1 - Math.exp(-depth[layer]! / LOOK.deepM));
      if (layer === 0) tone = 1;
      let [vein, other] = [0, rgb];
      if (isVeined && share > 0.03) {
        const veins = noiseAt(noise, carriedX / LOOK.veinM, carriedY / LOOK.veinM, 13 * layer + 3);
        const streak = noiseAt(
          noise,
          carriedX / LOOK.streakM + 3 * veins,
          carriedY / LOOK.streakM,
          13 * layer + 4,
        );
        const near = 1 - Math.abs(veins) / LOOK.vein;
        if (near > 0) {
          vein = LOOK.veinShare * near * (0.4 + 0.6 * (0.5 + 0.5 * Math.sin(9 * veins + layer)));
          const next = layer > 1 && (streak > 0 || layer >= count - 2) ? layer - 1 : layer + 1;
          const beside = layers[Math.min(next, count - 1)]!;
          if (beside.isVeined) other = beside.rgb;
        }
        tone *= 1 + 0.1 * streak + 0.05 * veins;
      }
      r += share * (rgb[0] + vein * (other[0] - rgb[0])) * tone;
      g += share * (rgb[1] + vein * (other[1] - rgb[1])) * tone;
      b += share * (rgb[2] + vein * (other[2] - rgb[2])) * tone;
      left *= 1 - seen * (layer === 0 ? 1 : 1 - Math.exp(-depth[layer]! / depthM));
    }
    const dark = 1 - 0.18 * net.ring;
    out.r = (r + left * look.support[0]) * dark;
    out.g = (g + left * look.support[1]) * dark;
    out.b = (b + left * look.support[2]) * dark;
    const low = splined(look.low);
    out.surface = 0.45 * low + 4 * (surface - low + net.relief * stands + 1.6e-5 * ridges);
  };

  /** A large hole shows one color more in its core. */
  function openNext(core: number): void {
    let top = sheet - 1;
    while (top > 0 && cover[top]! < 0.5) top -= 1;
    let below = top - 1;
    while (below > 0 && cover[below]! < 0.5) below -= 1;
    if (below > 0) cover[top]! *= 1 - core;
  }
}
