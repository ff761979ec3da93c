import { ratesAt, requireLayers, type TwoLayers } from './twoLayer.ts';

/** N/m: water-based paint against air (typical). */
export const SURFACE_TENSION_NM = 0.03;

export type CellForecast =
  | {
      readonly stable: false;
      readonly wavelengthMm: number;
      readonly growthPerS: number;
      /** Time in which a ripple grows by a factor of e. */
      readonly openingSeconds: number;
    }
  | {
      readonly stable: true;
      readonly wavelengthMm: null;
      readonly growthPerS: null;
      readonly openingSeconds: null;
    };

const STABLE: CellForecast = { stable: true, wavelengthMm: null, growthPerS: null, openingSeconds: null };

const SCAN_STEPS = 36;
const NARROWING = (Math.sqrt(5) - 1) / 2;
/** ln(k) is narrowed to this; the rate is flat at its peak, so that the rate is far closer. */
const LN_TOLERANCE = 1e-7;
const SLOWEST_PER_S = 1e-9;

/**
 * Whether a heavier layer on a lighter one opens into cells by its weight, how large, and how soon.
 *
 * Law: the fastest growing wavelength of `growthRates` (the Rayleigh-Taylor picture that Zetina, Godinez &
 * Zenit measured for paint on paint, PLOS ONE 2015, from memory). Holds while ripples are small; the cells
 * that are seen keep about that spacing.
 *
 * @throws InputError naming the field
 * @example
 * cellForecast({
 *   lower: { thicknessMm: 2, viscosityPaS: 2, densityKgM3: 1070 },
 *   upper: { thicknessMm: 0.3, viscosityPaS: 0.5, densityKgM3: 1120 },
 *   interfacialTensionNM: 0,
 *   surfaceTensionNM: 0.03,
 * }) // { stable: false, wavelengthMm: 2.484, growthPerS: 0.02326 }
 */
export function cellForecast(layers: TwoLayers): CellForecast {
  requireLayers(layers);
  if (layers.upper.densityKgM3 <= layers.lower.densityKgM3) return STABLE;
  const thin = Math.min(layers.lower.thicknessMm, layers.upper.thicknessMm) / 1000;
  const whole = (layers.lower.thicknessMm + layers.upper.thicknessMm) / 1000;
  // From ripples far longer than the stack is thick to ripples far shorter than its thinner layer.
  const from = Math.log(0.02 / whole);
  const to = Math.log(60 / thin);
  const growth = (lnK: number) => ratesAt(layers, Math.exp(lnK)).faster;
  const step = (to - from) / SCAN_STEPS;
  let best = { lnK: from, rate: -Infinity };
  for (let index = 0; index <= SCAN_STEPS; index += 1) {
    const lnK = from + index * step;
    const rate = growth(lnK);
    if (rate > best.rate) best = { lnK, rate };
  }
  const lnK = narrow(growth, best.lnK - step, best.lnK + step);
  const growthPerS = growth(lnK);
  if (growthPerS < SLOWEST_PER_S) return STABLE;
  return {
    stable: false,
    wavelengthMm: (1000 * 2 * Math.PI) / Math.exp(lnK),
    growthPerS,
    openingSeconds: 1 / growthPerS,
  };
}

/** Golden-section search for the peak between two points. */
function narrow(rate: (at: number) => number, left: number, right: number): number {
  let [a, b] = [left, right];
  let [c, d] = [b - NARROWING * (b - a), a + NARROWING * (b - a)];
  let [atC, atD] = [rate(c), rate(d)];
  while (b - a > LN_TOLERANCE) {
    if (atC > atD) {
      [b, d, atD] = [d, c, atC];
      c = b - NARROWING * (b - a);
      atC = rate(c);
    } else {
      [a, c, atC] = [c, d, atD];
      d = a + NARROWING * (b - a);
      atD = rate(d);
    }
  }
  return (a + b) / 2;
}
