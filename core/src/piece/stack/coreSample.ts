import type { Plan, PlanPaint, PlanStack } from '../plan/index.ts';
import { takesMetallicParts } from '../../paint/material/index.ts';
import { stackForecast, type InterfaceForecast, type StackLayer } from './forecast.ts';
import { physics, sampleLayers, type SampleLayer, type SampleOptions } from './sampleLayers.ts';

export interface CoreSample {
  /** From the support up. */
  readonly layers: readonly SampleLayer[];
  readonly heightMm: number;
  readonly interfaces: readonly InterfaceForecast[];
}

/**
 * A cut through the middle of a stack: what lies there, how thick, and what every interface will do.
 *
 * As poured, every puddle spreads by itself for the time it has lain (Huppert 1982a through `spread`), a
 * stated simplification; as blown, every layer lies evenly over the flower's footprint.
 *
 * @throws InputError naming the field
 */
export function coreSample(
  plan: Pick<Plan, 'passes' | 'settings'>,
  stack: PlanStack,
  paints: readonly PlanPaint[],
  options: SampleOptions,
): CoreSample {
  const layers = sampleLayers(plan, stack, paints, options);
  return {
    layers,
    heightMm: layers.reduce((sum, layer) => sum + layer.thicknessMm, 0),
    interfaces: stackForecast(stackOf(layers)),
  };
}

/** The layers of a sample as the laws of cells see them. */
export const stackOf = (layers: readonly SampleLayer[]): StackLayer[] =>
  layers.map(({ paint, thicknessMm }) => ({
    ...physics(paint),
    thicknessMm,
    isSheet: paint.role === 'activator' || paint.role === 'swipe',
    isMetallic: takesMetallicParts(paint.finish),
  }));
