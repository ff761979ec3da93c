import type { Blower, PassData } from '@icy-ribbon/contract';
import { airTool, settingsOf, type AirTool } from '@icy-ribbon/core/flow/air';
import type { AirPass } from '@icy-ribbon/core/piece/plan';

type Typed = 'distanceMm' | 'slantDeg' | 'directionDeg' | 'seconds';

/** A pass while it is being entered: numbers may still be missing. */
export type PassDraft = Mutable<Omit<AirPass, Typed>> &
  Record<Typed, number | null> & {
    from: PassData['from'];
    /** The very blower of the shelf; null is the usual one of its kind. */
    blower?: PassData['blower'];
  };
type Mutable<Given> = { -readonly [Key in keyof Given]: Given[Key] };

/** A blower of the shelf as it is now, for the record of a pass. */
export const blowerNow = ({ id, name, exitDiameterMm, exitSpeedMS }: Blower) => ({
  ...{ id, name, exitDiameterMm, exitSpeedMS },
});

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

/** What changes when another tool is taken in hand: of one kind on the shelf, it is that one. */
export function withTool(
  tool: AirTool,
  shelf: readonly Blower[] = [],
): Pick<PassDraft, 'tool' | 'setting' | 'distanceMm' | 'blower'> {
  const { distanceMm } = airTool(tool);
  const own = shelf.filter((each) => each.tool === tool);
  const blower = own.length === 1 ? blowerNow(own[0]!) : null;
  return { tool, setting: settingsOf(tool)[0]!, distanceMm, blower };
}
