import type { PassData } from '@icy-ribbon/contract';
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';

/** A pass while it is being entered. */
export interface PassDraft {
  tool: AirTool;
  setting: string;
  distanceMm: number | null;
  slantDeg: number | null;
  directionDeg: number | null;
  seconds: number | null;
  from: PassData['from'];
}

const USUAL_SLANT_DEG = 25;
const USUAL_SECONDS = 4;

/** A new pass: like the last one, or a breath from the middle to the top. */
export function newPass(last?: PassData): PassDraft {
  if (last) return { ...last, from: null };
  return {
    ...withTool('mouth'),
    slantDeg: USUAL_SLANT_DEG,
    directionDeg: 0,
    seconds: USUAL_SECONDS,
    from: null,
  };
}

/** What changes when another tool is taken in hand. */
export function withTool(tool: AirTool): Pick<PassDraft, 'tool' | 'setting' | 'distanceMm'> {
  const { settings, distanceMm } = airTool(tool);
  return { tool, setting: settings[0], distanceMm };
}
