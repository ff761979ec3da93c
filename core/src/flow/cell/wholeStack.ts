import { EigenvalueDecomposition } from 'ml-matrix';
import { solveInPlace } from '../../base/linear/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { SURFACE_TENSION_NM, type CellForecast } from './cells.ts';
import { layerFunctions, type Layer } from './twoLayer.ts';

/** One way in which a stack's interfaces and its surface move together, at one wave number. */
export interface StackMode {
  readonly growthPerS: number;
  /** How much each interface takes part, from the lowest up; the surface is the last. */
  readonly parts: readonly number[];
}

/**
 * The modes of a ripple in any number of layers of creeping flow on a support, with a free surface.
 *
 * Law: as `growthRates`, for the whole stack at once: Stokes flow in every layer, no slip at the support, speeds and
 * shear stress continuous at every interface, the normal stress jumps by weight there and by weight and tension at the
 * surface; d(eta)/dt = M(k) eta. Paints based on water have no tension against each other.
 * Source: standard linear stability (Rayleigh 1883, Taylor 1950, from memory); worked out here.
 *
 * @param layers from the support up, at least one; @param k wave number, 1/m
 */
export function stackModes(layers: readonly Layer[], k: number): StackMode[] {
  const count = layers.length;
  const size = 4 * count;
  const reference = layers[0]!.viscosityPaS;
  const tall = layers.map(({ thicknessMm }) => (k * thicknessMm) / 1000);
  const tops = tall.map((height) => layerFunctions(height, height));
  const system = new Float64Array(size * size);
  /** First the loads, then the flow that they drive. */
  const flow = new Float64Array(size * count);
  const put = (row: number, layer: number, factor: number, values: readonly number[]) => {
    for (let at = 0; at < 4; at += 1) system[row * size + 4 * layer + at] = factor * values[at]!;
  };
  const bottom = layerFunctions(0, tall[0]!);
  put(0, 0, 1, bottom.w);
  put(1, 0, 1, bottom.dw);
  layers.forEach((layer, index) => {
    const ratio = layer.viscosityPaS / reference;
    const top = tops[index]!;
    const above = layers[index + 1];
    const scale = 1 / (2 * reference * k);
    const row = 2 + 4 * index;
    if (!above) {
      put(row, index, 1, top.shear);
      put(row + 1, index, ratio, top.normal);
      flow[(row + 1) * count + index] =
        (layer.densityKgM3 * GRAVITY_MS2 + SURFACE_TENSION_NM * k ** 2) * scale;
      return;
    }
    const under = layerFunctions(0, tall[index + 1]!);
    const next = above.viscosityPaS / reference;
    put(row, index, 1, top.w);
    put(row, index + 1, -1, under.w);
    put(row + 1, index, 1, top.dw);
    put(row + 1, index + 1, -1, under.dw);
    put(row + 2, index, ratio, top.shear);
    put(row + 2, index + 1, -next, under.shear);
    put(row + 3, index, ratio, top.normal);
    put(row + 3, index + 1, -next, under.normal);
    flow[(row + 3) * count + index] = (layer.densityKgM3 - above.densityKgM3) * GRAVITY_MS2 * scale;
  });
  solveInPlace(system, flow, count);
  const moves = tops.map(({ w }, index) =>
    layers.map((_, load) =>
      w.reduce((sum, value, at) => sum + value * flow[(4 * index + at) * count + load]!, 0),
    ),
  );
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(moves);
  return realEigenvalues.map((growthPerS, at) => ({
    growthPerS,
    parts: eigenvectorMatrix.getColumn(at).map(Math.abs),
  }));
}

const SCAN_STEPS = 40;
/** The peak is known to such a part of a step of the scan. */
const NEAR = 1e-4;
const CLOSER = 5;
const MOST_ROUNDS = 40;
const SLOWEST_PER_S = 1e-9;
const STABLE: CellForecast = { stable: true, wavelengthMm: null, growthPerS: null, openingSeconds: null };

/** Where a parabola through three equally spaced values is highest, in steps from the middle one; within them. */
function vertexOf(left: number, middle: number, right: number): number {
  const bend = left - 2 * middle + right;
  return bend < 0 ? Math.max(-1, Math.min(1, (left - right) / (2 * bend))) : 0;
}

/**
 * Whether, how large and how fast every interface of a stack opens by weight, the whole stack solved at once: layers
 * farther off make it grow up to several times faster than its two neighbors alone.
 *
 * Each mode that grows is given to the interface that takes the largest part in it; the spacing of an interface is that
 * at which the fastest of its modes peaks.
 *
 * @param layers from the support up, at least two
 * @returns one for each interface, from the lowest up
 */
export function stackCells(layers: readonly Layer[]): CellForecast[] {
  const thin = Math.min(...layers.map(({ thicknessMm }) => thicknessMm)) / 1000;
  const whole = layers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0) / 1000;
  const [from, to] = [Math.log(0.02 / whole), Math.log(60 / thin)];
  const step = (to - from) / SCAN_STEPS;
  const interfaces = layers.length - 1;
  const growthOf = (lnK: number): number[] => {
    const fastest = Array.from({ length: interfaces }, () => 0);
    for (const { growthPerS, parts } of stackModes(layers, Math.exp(lnK))) {
      const inside = parts.slice(0, interfaces);
      const at = inside.indexOf(Math.max(...inside));
      if (growthPerS > fastest[at]!) fastest[at] = growthPerS;
    }
    return fastest;
  };
  const scanned = Array.from({ length: SCAN_STEPS + 1 }, (_, index) => {
    const lnK = from + index * step;
    return { lnK, growth: growthOf(lnK) };
  });
  return Array.from({ length: interfaces }, (_, index): CellForecast => {
    const best = scanned.reduce((a, b) => (b.growth[index]! > a.growth[index]! ? b : a));
    if (best.growth[index]! < SLOWEST_PER_S) return STABLE;
    let top = { lnK: best.lnK, growth: best.growth[index]! };
    for (let reach = step / 2, round = 0; reach > step * NEAR && round < MOST_ROUNDS; round += 1) {
      const at = (lnK: number) => ({ lnK, growth: growthOf(lnK)[index]! });
      const sides = [at(top.lnK - reach), at(top.lnK + reach)] as const;
      const vertex = at(top.lnK + reach * vertexOf(sides[0].growth, top.growth, sides[1].growth));
      const highest = [...sides, vertex].reduce((a, b) => (b.growth > a.growth ? b : a), top);
      if (highest === top || highest === vertex) reach /= CLOSER;
      top = highest;
    }
    const { lnK, growth: growthPerS } = top;
    return {
      stable: false,
      wavelengthMm: (1000 * 2 * Math.PI) / Math.exp(lnK),
      growthPerS,
      openingSeconds: 1 / growthPerS,
    };
  });
}

/** From a first ripple of 10 to 1 % of the sheet it takes so many e-foldings until it is through: ln 10 to ln 100. */
const FOLDINGS = { least: Math.log(10), most: Math.log(100) };

/**
 * Seconds until cells open, from ripples of a tenth and of a hundredth of the sheet.
 *
 * @example openingRange(0.02326) // { fromSeconds: 98.99, toSeconds: 197.99 }
 */
export function openingRange(growthPerS: number): {
  readonly fromSeconds: number;
  readonly toSeconds: number;
} {
  return { fromSeconds: FOLDINGS.least / growthPerS, toSeconds: FOLDINGS.most / growthPerS };
}
