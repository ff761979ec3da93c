import { Matrix, solve } from 'ml-matrix';
import { requireNotNegative, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';

/** One of two layers lying on each other. */
export interface Layer {
  readonly thicknessMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}

export interface TwoLayers {
  readonly lower: Layer;
  readonly upper: Layer;
  /** N/m; water-based paints mix into each other, so that there is none. */
  readonly interfacialTensionNM: number;
  readonly surfaceTensionNM: number;
}

/** Rates of growth, 1/s, of the two ways interface and surface move together at one wavelength. */
export interface GrowthRates {
  readonly faster: number;
  readonly slower: number;
}

/**
 * Growth rates of a ripple in two layers of creeping flow on a support, with a free surface.
 *
 * Law: Stokes flow in both layers, stream function (A + Bz) e^(kz) + (C + Dz) e^(-kz). No slip at the
 * support; at the interface both speeds and the shear stress are continuous; the normal stress jumps by
 * weight and tension there and at the free surface; the deflections move with the flow. That leaves
 * d(eta)/dt = M(k) eta with a 2x2 matrix M, whose eigenvalues are the rates. The vertical speed W(z) of
 * each layer is carried by four bounded functions, so that thick layers cannot overflow.
 * Source: standard linear stability (Rayleigh 1883, Taylor 1950, from memory); worked out here.
 *
 * @param wavelengthMm above 0
 * @throws InputError naming the field
 */
export function growthRates(layers: TwoLayers, wavelengthMm: number): GrowthRates {
  requireLayers(layers);
  requirePositive('wavelengthMm', wavelengthMm, 'The wavelength');
  return ratesAt(layers, (2 * Math.PI) / (wavelengthMm / 1000));
}

/** Checks both layers and tensions; names the field that is wrong. */
export function requireLayers({ lower, upper, interfacialTensionNM, surfaceTensionNM }: TwoLayers): void {
  for (const [name, layer] of [
    ['lower', lower],
    ['upper', upper],
  ] as const) {
    requirePositive(`${name}.thicknessMm`, layer.thicknessMm, 'The thickness');
    requirePositive(`${name}.viscosityPaS`, layer.viscosityPaS, 'The viscosity');
    requirePositive(`${name}.densityKgM3`, layer.densityKgM3, 'The density');
  }
  requireNotNegative('interfacialTensionNM', interfacialTensionNM, 'The interfacial tension');
  requireNotNegative('surfaceTensionNM', surfaceTensionNM, 'The surface tension');
}

/** `growthRates` by wave number (1/m), without checks. */
export function ratesAt(
  { lower, upper, interfacialTensionNM, surfaceTensionNM }: TwoLayers,
  k: number,
): GrowthRates {
  const h1 = (k * lower.thicknessMm) / 1000;
  const h2 = (k * upper.thicknessMm) / 1000;
  // Viscosities are taken relative to the lower one's, lengths to 1/k; stresses come out in mu1 k W.
  const m = upper.viscosityPaS / lower.viscosityPaS;
  const atSupport = layerFunctions(0, h1);
  const below = layerFunctions(h1, h1);
  const above = layerFunctions(0, h2);
  const atSurface = layerFunctions(h2, h2);
  const none = [0, 0, 0, 0];
  const row = (left: readonly number[], right: readonly number[]) => [...left, ...right];
  const minus = (values: readonly number[]) => values.map((value) => -value);
  const times = (factor: number, values: readonly number[]) => values.map((value) => factor * value);
  const system = new Matrix([
    row(atSupport.w, none),
    row(atSupport.dw, none),
    row(below.w, minus(above.w)),
    row(below.dw, minus(above.dw)),
    row(below.shear, times(-m, above.shear)),
    row(below.normal, times(-m, above.normal)),
    row(none, atSurface.shear),
    row(none, times(m, atSurface.normal)),
  ]);
  const scale = 1 / (2 * lower.viscosityPaS * k);
  const interfacePull =
    ((lower.densityKgM3 - upper.densityKgM3) * GRAVITY_MS2 + interfacialTensionNM * k ** 2) * scale;
  const surfacePull = (upper.densityKgM3 * GRAVITY_MS2 + surfaceTensionNM * k ** 2) * scale;
  const loads = Matrix.zeros(8, 2);
  loads.set(5, 0, interfacePull);
  loads.set(7, 1, surfacePull);
  const flow = solve(system, loads);
  const speed = (functions: readonly number[], from: number, load: number) =>
    functions.reduce((sum, value, index) => sum + value * flow.get(from + index, load), 0);
  const [a, b] = [speed(below.w, 0, 0), speed(below.w, 0, 1)];
  const [c, d] = [speed(atSurface.w, 4, 0), speed(atSurface.w, 4, 1)];
  return eigenvalues(a, b, c, d);
}

/**
 * The four functions of a layer at height z of h (both in units of 1/k), and what follows from each of
 * them: W, W', shear stress W'' + W, and half the normal stress (p - 2 mu W')/2 = (W''' - 3 W')/2.
 */
export function layerFunctions(z: number, h: number) {
  const up = Math.exp(z - h);
  const down = Math.exp(-z);
  return {
    w: [up, z * up, down, z * down],
    dw: [up, (1 + z) * up, -down, (1 - z) * down],
    shear: [2 * up, (2 + 2 * z) * up, 2 * down, (2 * z - 2) * down],
    normal: [-up, -z * up, down, z * down],
  };
}

/** Of a 2x2 matrix whose eigenvalues are real; the larger first, without loss when they lie far apart. */
function eigenvalues(a: number, b: number, c: number, d: number): GrowthRates {
  const half = (a + d) / 2;
  const root = Math.sqrt(Math.max(0, ((a - d) / 2) ** 2 + b * c));
  const larger = half >= 0 ? half + root : half - root;
  const other = larger === 0 ? 0 : (a * d - b * c) / larger;
  return { faster: Math.max(larger, other), slower: Math.min(larger, other) };
}
