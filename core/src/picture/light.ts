import { Matrix, solve } from 'ml-matrix';
import { oklabInto } from '../paint/color/oklab.ts';
import type { Face } from './rectify.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';

/** How the light falls: gains of the channels, and a smooth field that all channels share. */
export interface Light {
  /** Linear gains of red, green and blue that make a gray card gray. */
  readonly gains: readonly [number, number, number];
  /** Coefficients of ln gain over 1, x, y, x², xy, y², x and y running from -1 to 1 over the face. */
  readonly field: readonly number[];
}

const SAMPLES = 8_000;
const ROUNDS = 6;
const SMOOTH = 0.03;
const FARTHEST = 0.16;

interface Sample {
  /** Place on the grid of samples. */
  readonly column: number;
  readonly row: number;
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/**
 * Finds the light from the picture itself: robust least squares of ln gain on places that are smooth and
 * close to a color of the palette, labels and field improving each other over some rounds. One scalar for
 * all channels, so that it cannot turn one color into another.
 *
 * @param gains from a gray card; without one they are fitted along with the field
 */
export function findLight(
  face: Face,
  seeds: Seeds,
  gains: readonly [number, number, number] | undefined,
): Light {
  const samples = smoothSamples(face);
  let channelGains = gains ?? ([1, 1, 1] as const);
  const slopes = fitSlopes(samples);
  let field = [firstGain(samples, seeds, { gains: channelGains, field: slopes }), ...slopes.slice(1)];
  for (let round = 0; round < ROUNDS; round += 1) {
    const farthest = FARTHEST * (1 - round / (ROUNDS + 2));
    const light = { gains: channelGains, field };
    const matched = matchSamples(samples, seeds, light, farthest);
    if (matched.length < 50) break;
    if (!gains) channelGains = fitGains(matched, seeds, light);
    field = fitField(matched, seeds, { gains: channelGains, field });
  }
  return { gains: channelGains, field };
}

/** Gain of all channels at a place of the face. */
export function gainAt(field: readonly number[], x: number, y: number): number {
  return Math.exp(
    field[0]! + field[1]! * x + field[2]! * y + field[3]! * x * x + field[4]! * x * y + field[5]! * y * y,
  );
}

/** Takes the light out of the face, in place. */
export function flatten(face: Face, { gains, field }: Light): void {
  const { width, height, rgb } = face;
  for (let row = 0; row < height; row += 1) {
    const y = (2 * (row + 0.5)) / height - 1;
    for (let column = 0; column < width; column += 1) {
      const gain = gainAt(field, (2 * (column + 0.5)) / width - 1, y);
      const at = 3 * (row * width + column);
      rgb[at] = rgb[at]! * gain * gains[0];
      rgb[at + 1] = rgb[at + 1]! * gain * gains[1];
      rgb[at + 2] = rgb[at + 2]! * gain * gains[2];
    }
  }
}

/** Means of 3x3 pixels, spread evenly over the face, where nothing changes across them and nothing is full. */
function smoothSamples(face: Face): Sample[] {
  const { width, height, rgb, clipped, onFace } = face;
  const step = Math.max(3, Math.floor(Math.sqrt((width * height) / (SAMPLES * 2))));
  const found: Sample[] = [];
  for (let row = 2 + (step >> 1); row < height - 3; row += step) {
    for (let column = 2 + (step >> 1); column < width - 3; column += step) {
      const pixel = row * width + column;
      if (!onFace[pixel] || clipped[pixel]) continue;
      const sum = [0, 0, 0];
      const least = [9, 9, 9];
      const most = [0, 0, 0];
      for (let dy = -2; dy <= 2; dy += 2) {
        for (let dx = -2; dx <= 2; dx += 2) {
          const at = 3 * (pixel + dy * width + dx);
          for (let channel = 0; channel < 3; channel += 1) {
            const value = rgb[at + channel]!;
            sum[channel]! += value;
            least[channel] = Math.min(least[channel]!, value);
            most[channel] = Math.max(most[channel]!, value);
          }
        }
      }
      const mean = (sum[0]! + sum[1]! + sum[2]!) / 27;
      const range = Math.max(...most.map((value, channel) => value - least[channel]!));
      if (range > SMOOTH * (0.3 + 3 * mean)) continue;
      found.push({
        column: Math.round((column - 2) / step),
        row: Math.round((row - 2) / step),
        x: (2 * (column + 0.5)) / width - 1,
        y: (2 * (row + 0.5)) / height - 1,
        r: sum[0]! / 9,
        g: sum[1]! / 9,
        b: sum[2]! / 9,
      });
    }
  }
  return found;
}

const PAIR_STEPS = [1, 2, 4];
const SAME_PAINT = 0.045;

/**
 * How the light changes across the face, before anything is known of the colors: two smooth places close
 * to each other and nearly alike show the same paint, so that what differs between them is the light.
 */
function fitSlopes(samples: readonly Sample[]): number[] {
  const places = new Map(samples.map((sample) => [sample.row * 100_000 + sample.column, sample]));
  const normal = Array.from({ length: 5 }, () => new Array<number>(5).fill(0));
  const right = new Array<number>(5).fill(0);
  let pairs = 0;
  for (const one of samples) {
    const sum = one.r + one.g + one.b;
    if (sum < 0.12) continue;
    for (const step of PAIR_STEPS) {
      for (const key of [one.row * 100_000 + one.column + step, (one.row + step) * 100_000 + one.column]) {
        const other = places.get(key);
        if (!other || !isSamePaint(one, other)) continue;
        const wanted = Math.log(sum / (other.r + other.g + other.b));
        const terms = [
          other.x - one.x,
          other.y - one.y,
          other.x ** 2 - one.x ** 2,
          other.x * other.y - one.x * one.y,
          other.y ** 2 - one.y ** 2,
        ];
        pairs += 1;
        for (let row = 0; row < 5; row += 1) {
          right[row]! += terms[row]! * wanted;
          for (let column = 0; column < 5; column += 1) normal[row]![column]! += terms[row]! * terms[column]!;
        }
      }
    }
  }
  if (pairs < 200) return [0, 0, 0, 0, 0, 0];
  for (let row = 0; row < 5; row += 1) normal[row]![row]! += 1e-5 * pairs;
  return [0, ...solve(new Matrix(normal), Matrix.columnVector(right)).to1DArray()];
}

/** Whether all channels changed by the same small factor. */
function isSamePaint(one: Sample, other: Sample): boolean {
  const logs = [Math.log(other.r / one.r), Math.log(other.g / one.g), Math.log(other.b / one.b)];
  return Math.max(...logs.map(Math.abs)) < SAME_PAINT && Math.max(...logs) - Math.min(...logs) < SAME_PAINT;
}

/** The one gain (its logarithm) under which the picture looks most like the palette. */
function firstGain(samples: readonly Sample[], seeds: Seeds, { gains, field }: Light): number {
  const few = samples.filter((_, index) => index % Math.max(1, Math.floor(samples.length / 2500)) === 0);
  const lab = new Float32Array(3);
  const nearest: Nearest = { seed: 0, squared: 0 };
  let best = 0;
  let least = Infinity;
  for (let candidate = -1.2; candidate <= 1.6; candidate += 0.07) {
    let cost = 0;
    for (const sample of few) {
      const gain = Math.exp(candidate) * gainAt(field, sample.x, sample.y);
      oklabInto(sample.r * gain * gains[0], sample.g * gain * gains[1], sample.b * gain * gains[2], lab, 0);
      nearestSeed(seeds, lab[0]!, lab[1]!, lab[2]!, nearest);
      cost += Math.min(0.02, nearest.squared);
    }
    if (cost < least) {
      least = cost;
      best = candidate;
    }
  }
  return best;
}

interface Matched extends Sample {
  readonly seed: number;
  readonly weight: number;
}

/** The samples close enough to a seed under the light so far; close and bright ones weigh more. */
function matchSamples(samples: readonly Sample[], seeds: Seeds, light: Light, farthest: number): Matched[] {
  const lab = new Float32Array(3);
  const nearest: Nearest = { seed: 0, squared: 0 };
  const found: Matched[] = [];
  for (const sample of samples) {
    const gain = gainAt(light.field, sample.x, sample.y);
    const [red, green, blue] = light.gains;
    oklabInto(sample.r * gain * red, sample.g * gain * green, sample.b * gain * blue, lab, 0);
    nearestSeed(seeds, lab[0]!, lab[1]!, lab[2]!, nearest);
    const share = nearest.squared / (farthest * farthest);
    if (share >= 1) continue;
    const bright = lab[0]! ** 3;
    found.push({ ...sample, seed: nearest.seed, weight: (1 - share) ** 2 * (bright / (bright + 0.03)) });
  }
  return found;
}

/** ln of the gain that brings a sample to its seed. */
function wantedLn(sample: Matched, seeds: Seeds, [red, green, blue]: Light['gains']): number {
  const at = 3 * sample.seed;
  const r = sample.r * red;
  const g = sample.g * green;
  const b = sample.b * blue;
  const dot = seeds.rgb[at]! * r + seeds.rgb[at + 1]! * g + seeds.rgb[at + 2]! * b;
  return Math.log(Math.max(1e-6, dot) / Math.max(1e-9, r * r + g * g + b * b));
}

function fitField(matched: readonly Matched[], seeds: Seeds, light: Light): number[] {
  const terms = 6;
  const normal = Array.from({ length: terms }, () => new Array<number>(terms).fill(0));
  const right = new Array<number>(terms).fill(0);
  for (const sample of matched) {
    const { x, y } = sample;
    const basis = [1, x, y, x * x, x * y, y * y];
    const wanted = wantedLn(sample, seeds, light.gains);
    const off = wanted - Math.log(gainAt(light.field, x, y));
    const weight = sample.weight / (1 + (off / 0.12) ** 2);
    for (let row = 0; row < terms; row += 1) {
      right[row]! += weight * basis[row]! * wanted;
      for (let column = 0; column < terms; column += 1) {
        normal[row]![column]! += weight * basis[row]! * basis[column]!;
      }
    }
  }
  // A little of the identity keeps a picture of one corner from bending the rest.
  const ridge = 1e-3 * normal[0]![0]!;
  for (let row = 1; row < terms; row += 1) normal[row]![row]! += ridge;
  return solve(new Matrix(normal), Matrix.columnVector(right)).to1DArray();
}

function fitGains(matched: readonly Matched[], seeds: Seeds, light: Light): [number, number, number] {
  const logs = [0, 1, 2].map((channel) => {
    const ratios: number[] = [];
    for (const sample of matched) {
      const value = [sample.r, sample.g, sample.b][channel]! * gainAt(light.field, sample.x, sample.y);
      const wanted = seeds.rgb[3 * sample.seed + channel]!;
      if (wanted > 0.04 && value > 0.01) ratios.push(Math.log(wanted / value));
    }
    return ratios.length > 20 ? ratios.sort((a, b) => a - b)[ratios.length >> 1]! : 0;
  });
  const mean = (logs[0]! + logs[1]! + logs[2]!) / 3;
  return logs.map((log) => Math.exp(log - mean)) as [number, number, number];
}
