import { jetOnPaint } from '../../flow/air/index.ts';
import { InputError } from '../../base/error/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { distanceMm, type Plan, type PlanLayer, type PlanPaint, type PlanStack } from '../plan/index.ts';
import { exitOf, type BlowerExit } from './exit.ts';

/** A layer with its grams settled. */
export interface SettledLayer {
  readonly layer: PlanLayer;
  readonly paint: PlanPaint;
  readonly massG: number;
  readonly volumeMl: number;
}

/** @throws InputError when the plan pours a paint that is not among the paints */
export function paintOf(paints: readonly PlanPaint[], id: string, field: string): PlanPaint {
  const found = paints.find((paint) => paint.id === id);
  if (!found) throw new InputError(field, 'The plan pours a paint that is not there: choose another.');
  return found;
}

/**
 * The deepest dent that the planned passes press into a stack: those that begin over its footprint.
 *
 * @param densityGPerMl of what the air presses on
 * @returns mm; 0 without such a pass
 */
export function deepestDentMm(
  plan: Pick<Plan, 'passes'>,
  stack: PlanStack,
  densityGPerMl: number,
  blowers: readonly BlowerExit[],
): number {
  return plan.passes
    .filter((pass) => distanceMm(pass.at, stack.at) <= stack.footprintMm / 2)
    .map(
      (pass) =>
        jetOnPaint({
          ...exitOf(pass, blowers),
          distanceMm: pass.distanceMm,
          slantDeg: pass.slantDeg,
          paintDensityKgM3: 1000 * densityGPerMl,
        }).dentMm,
    )
    .reduce((deepest, dent) => Math.max(deepest, dent), 0);
}

/**
 * Grams of a pillow: its footprint times the dent of the air and the film that shall stay under it, or its usual depth.
 * Law: mass = pi/4 d^2 x max(dent + margin, usual depth) x density (geometry).
 */
export function pillowMassG(input: {
  readonly footprintMm: number;
  readonly dentMm: number;
  readonly marginMm: number;
  /** It is generous: at least so deep. */
  readonly leastMm?: number;
  readonly densityGPerMl: number;
}): number {
  const mm = Math.max(input.leastMm ?? 0, input.dentMm + input.marginMm);
  return ((Math.PI / 4) * input.footprintMm ** 2 * mm * input.densityGPerMl) / 1000;
}

/** Every layer of a stack with its grams, "as much as it takes" worked out. */
export function stackLayers(
  plan: Pick<Plan, 'passes' | 'settings'>,
  stack: PlanStack,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[],
): SettledLayer[] {
  return stack.layers.map((layer, index) => {
    const paint = paintOf(paints, layer.cupId, `stacks.layers.${index}.cupId`);
    return settled(layer, paint, layer.massG ?? takes(plan, stack, paint, paints, blowers));
  });
}

export function settled(layer: PlanLayer, paint: PlanPaint, massG: number): SettledLayer {
  return { layer, paint, massG, volumeMl: massG / paint.densityGPerMl };
}

/** The activator is the smallest of the pile, so much smaller than the smallest color (common practice). */
const SMALLEST_SHARE = 0.9;

/** @throws InputError for a paint that must be given in grams */
function takes(
  plan: Pick<Plan, 'passes' | 'settings'>,
  stack: PlanStack,
  { role, name, densityGPerMl, doseFactor }: PlanPaint,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[],
): number {
  if (role === 'pillow') {
    return pillowMassG({
      footprintMm: stack.footprintMm,
      dentMm: deepestDentMm(plan, stack, densityGPerMl, blowers),
      marginMm: plan.settings.marginMm,
      leastMm: LIMITS.pillowMm.aim,
      densityGPerMl,
    });
  }
  if (role === 'activator') {
    const sheetG = ((Math.PI / 4) * stack.footprintMm ** 2 * plan.settings.sheetMm * densityGPerMl) / 1000;
    if (doseFactor !== undefined) return doseFactor * sheetG;
    const ofRole = (wanted: PlanPaint['role']) =>
      stack.layers.filter((layer) => paints.find(({ id }) => id === layer.cupId)?.role === wanted);
    const smallestG = Math.min(...ofRole('color').map((layer) => layer.massG ?? Infinity));
    return Math.min(sheetG / ofRole('activator').length, SMALLEST_SHARE * smallestG);
  }
  throw new InputError('massG', `Say how many grams of ${name} to lay.`);
}
