import { airPower, type AirPower, type AirTool, type Middle } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';

/** What becomes of the middle under the air. */
export const MIDDLE_WORDS: Readonly<Record<Middle, string>> = {
  bare: 'The air digs to the support: the middle stays behind as a bare dent.',
  skin: 'A thin skin is left in the middle; it sticks while the rest moves.',
  dish: 'A deep dish: the middle closes again when the air is off.',
  dip: 'The middle dips and moves with the rest.',
};

const CAUTION_OF: Readonly<Record<AirPower, string>> = {
  breath: CAUTIONS.breath,
  battery: `${CAUTIONS.coolAir} ${CAUTIONS.mains}`,
  mains: `${CAUTIONS.coolAir} ${CAUTIONS.mains}`,
};

/** The usual caution for blowing with a tool: by what drives it. */
export const airCaution = (tool: AirTool): string => CAUTION_OF[airPower(tool)];
