import { stackLayers, type BlowerExit } from '../amount/index.ts';
import type { Plan, PlanPaint, PlanStack } from '../plan/index.ts';
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

/** Seconds from one puddle of a stack to the next (common practice, no published source). */
const LAYING_SECONDS = 8;

/** What `sampleLayers` and `coreSample` ask for. */
export interface SampleOptions {
  /** The film under the stack, if the support was wetted first. */
  readonly base?: { readonly paint: PlanPaint; readonly filmMm: number } | undefined;
  readonly blowers?: readonly BlowerExit[];
  readonly moment: SampleMoment;
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

/** A paint as the laws of flow see it. */
export const physics = (paint: PlanPaint) => ({
  viscosityPaS: paint.viscosityPaS,
  densityKgM3: 1000 * paint.densityGPerMl,
});
