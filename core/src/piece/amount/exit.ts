import { airTool } from '../../flow/air/index.ts';
import type { PlanPass } from '../plan/index.ts';

/** What is known of a blower on the shelf. */
export interface BlowerExit {
  readonly id: string;
  readonly exitDiameterMm: number;
  readonly exitSpeedMS: number;
}

/** The exit a pass is blown from: the shelf's blower, or the usual one of its kind. */
export function exitOf(
  pass: Pick<PlanPass, 'tool' | 'blowerId'>,
  blowers: readonly BlowerExit[],
): { readonly exitDiameterMm: number; readonly exitSpeedMS: number } {
  const { exitDiameterMm, exitSpeedMS } =
    blowers.find((blower) => blower.id === pass.blowerId) ?? airTool(pass.tool);
  return { exitDiameterMm, exitSpeedMS };
}
