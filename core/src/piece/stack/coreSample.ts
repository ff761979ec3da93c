import { stackLayers, type BlowerExit } from '../amount/index.ts';
import type { Plan, PlanPaint, PlanStack } from '../plan/index.ts';
import { takesMetallicParts } from '../../paint/material/index.ts';
import { stackForecast, type InterfaceForecast, type StackLayer } from './forecast.ts';
import { evenlyMm, puddle } from './puddle.ts';

/** As laid, standing in its puddles; or spread over its footprint by the air. */
export type SampleMoment = 'poured' | 'blown';

export interface SampleLayer {
  /** The plan's layer; null for the base below the stack. */
  readonly layerId: string | null;
  readonly paint: PlanPaint;
  readonly massG: number;
  readonly volumeMl: number;
  readonly thicknessMm: number;
  /** Half its width; as wide as it likes for the base. */
  readonly radiusMm: number;
}

export interface CoreSample {
  /** From the support up. */
  readonly layers: readonly SampleLayer[];
  readonly heightMm: number;
  readonly interfaces: readonly InterfaceForecast[];
}

/** Seconds from one puddle of a stack to the next (common practice, no published source). */
const LAYING_SECONDS = 8;

/** What `coreSample` asks for. */
export interface SampleOptions {
  /** The film under the stack, if the support was wetted first. */
  readonly base?: { readonly paint: PlanPaint; readonly filmMm: number } | undefined;
  readonly blowers?: readonly BlowerExit[];
  readonly moment: SampleMoment;
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

/** The layers of a core sample without what their interfaces will do. */
export function sampleLayers(
  plan: Pick<Plan, 'passes' | 'settings'>,
  stack: PlanStack,
  paints: readonly PlanPaint[],
  { base, blowers = [], moment }: SampleOptions,
): SampleLayer[] {
  const settled = stackLayers(plan, stack, paints, blowers);
  const laid = settled.map(({ layer, paint, massG, volumeMl }, index): SampleLayer => {
    const seconds = plan.settings.standSeconds + LAYING_SECONDS * (settled.length - 1 - index);
    const { radiusMm, middleMm } =
      moment === 'poured'
        ? puddle({ ...physics(paint), volumeMl, seconds })
        : { radiusMm: stack.footprintMm / 2, middleMm: evenlyMm(volumeMl, stack.footprintMm) };
    return { layerId: layer.id, paint, massG, volumeMl, thicknessMm: middleMm, radiusMm };
  });
  if (!base) return laid;
  const wide = { massG: 0, volumeMl: 0, radiusMm: Number.POSITIVE_INFINITY };
  return [{ layerId: null, paint: base.paint, thicknessMm: base.filmMm, ...wide }, ...laid];
}

const physics = (paint: PlanPaint) => ({
  viscosityPaS: paint.viscosityPaS,
  densityKgM3: 1000 * paint.densityGPerMl,
});

/** The layers of a sample as the laws of cells see them. */
export const stackOf = (layers: readonly SampleLayer[]): StackLayer[] =>
  layers.map(({ paint, thicknessMm }) => ({
    ...physics(paint),
    thicknessMm,
    isSheet: paint.role === 'activator' || paint.role === 'swipe',
    isMetallic: takesMetallicParts(paint.finish),
  }));
