import type { PassData } from '@icy-ribbon/contract';
import type { Technique } from '@icy-ribbon/core/thickness';

/** What happened on the support, as the painter needs to know it. */
export interface DemoOutcome {
  readonly petals: number;
  readonly reach: number;
  readonly cellMedianMm: number;
  readonly cellsPerCm2: number;
  readonly lacingWidthMm: number;
  readonly mud: number;
}

/**
 * The law of the demo's invented world: thin paint makes more, smaller cells and more mud, thick paint
 * reaches less far; air that is close and steep digs and muddies.
 *
 * Invented for the demo only; the application claims nothing from it.
 */
export function outcomeOf(
  technique: Technique,
  /** How thick the colors really are, Pa.s. */
  colorsPaS: readonly number[],
  passes: readonly PassData[],
): DemoOutcome {
  const viscosity = geometricMean(colorsPaS);
  const meant = technique === 'dutch' ? 0.62 : 2.8;
  const thickness = Math.log(viscosity / meant);
  const steepness = mean(passes.map((pass) => Math.sin((pass.slantDeg * Math.PI) / 180)));
  const closeness = mean(passes.map((pass) => 120 / pass.distanceMm));
  const digging = Math.max(0, steepness * closeness - 0.45);
  const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
  return {
    petals: clamp(passes.length + (technique === 'dutch' ? 2 : 0), 4, 8),
    reach: clamp(1.16 - 0.24 * thickness - 0.25 * digging, 0.6, 1.3),
    cellMedianMm: clamp(2.6 * Math.exp(0.55 * thickness), 0.9, 6),
    cellsPerCm2: clamp(1.9 * Math.exp(-0.9 * thickness), 0.3, 5),
    lacingWidthMm: technique === 'bloom' ? 0.75 : 0.5,
    mud: clamp(0.02 - 0.16 * thickness + 0.12 * digging, 0, 0.25),
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

const geometricMean = (values: readonly number[]): number => Math.exp(mean(values.map(Math.log)));
