import { distanceMm } from '../plan/index.ts';
import { sampleLayers, type SampleLayer } from '../stack/index.ts';
import type { CheckInput } from './finding.ts';

/** How deep layers lie on one another, and how heavy they are together. */
export function depthAndDensity(layers: readonly SampleLayer[]): { depthMm: number; densityGPerMl: number } {
  const mass = layers.reduce((sum, layer) => sum + layer.massG, 0);
  const volume = layers.reduce((sum, layer) => sum + layer.volumeMl, 0);
  const depthMm = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  return { depthMm, densityGPerMl: mass / volume };
}

/** What lies under a place: the pile of the stack that is there. */
export function groundUnder(
  { plan, paints, blowers }: Pick<CheckInput, 'plan' | 'paints' | 'blowers'>,
  at: { readonly x: number; readonly y: number },
): { depthMm: number; densityGPerMl: number } | undefined {
  const stack = plan.stacks
    .filter((each) => distanceMm(each.at, at) <= each.footprintMm / 2 && each.layers.length > 0)
    .sort((a, b) => distanceMm(a.at, at) - distanceMm(b.at, at))[0];
  if (!stack) return undefined;
  return depthAndDensity(sampleLayers(plan, stack, paints, { blowers, moment: 'poured' }));
}
