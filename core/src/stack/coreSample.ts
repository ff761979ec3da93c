import { stackLayers, type BlowerExit } from '../amount/index.ts';
import type { Layer } from '../cell/index.ts';
import type { Plan, PlanPaint, PlanStack } from '../plan/index.ts';
import { stackForecast, type InterfaceForecast } from './forecast.ts';
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
export const LAYING_SECONDS = 8;

/**
 * A cut through the middle of a stack: what lies there, how thick, and what every interface will do.
 *
 * As poured, every puddle spreads by itself for the time it has lain (Huppert 1982a through `spread`), a
 * stated simplification; as blown, every layer lies evenly over the flower's footprint.
 *
 * @param base the film under the stack, if the support was wetted first
 * @throws InputError naming the field
 */
export function coreSample(
  plan: Pick<Plan, 'passes' | 'settings'>,
  stack: PlanStack,
  paints: readonly PlanPaint[],
  options: {
    readonly base?: { readonly paint: PlanPaint; readonly filmMm: number } | undefined;
    readonly blowers?: readonly BlowerExit[];
    readonly moment: SampleMoment;
  },
): CoreSample {
  const settled = stackLayers(plan, stack, paints, options.blowers ?? []);
  const poured = settled.map(({ layer, paint, massG, volumeMl }, index): SampleLayer => {
    const lain = plan.settings.standSeconds + LAYING_SECONDS * (settled.length - 1 - index);
    const { radiusMm, middleMm } =
      options.moment === 'poured'
        ? puddle({ ...physics(paint), volumeMl, seconds: lain })
        : { radiusMm: stack.footprintMm / 2, middleMm: evenlyMm(volumeMl, stack.footprintMm) };
    return { layerId: layer.id, paint, massG, volumeMl, thicknessMm: middleMm, radiusMm };
  });
  const under: SampleLayer[] = options.base
    ? [
        {
          layerId: null,
          paint: options.base.paint,
          massG: 0,
          volumeMl: 0,
          thicknessMm: options.base.filmMm,
          radiusMm: Number.POSITIVE_INFINITY,
        },
      ]
    : [];
  const layers = [...under, ...poured];
  return {
    layers,
    heightMm: layers.reduce((sum, layer) => sum + layer.thicknessMm, 0),
    interfaces:
      layers.length > 1
        ? stackForecast(layers.map(({ paint, thicknessMm }) => asLayer(paint, thicknessMm)))
        : [],
  };
}

const physics = (paint: PlanPaint) => ({
  viscosityPaS: paint.viscosityPaS,
  densityKgM3: 1000 * paint.densityGPerMl,
});

const asLayer = (paint: PlanPaint, thicknessMm: number): Layer => ({ ...physics(paint), thicknessMm });
