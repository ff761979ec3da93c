import type { Mix } from '@icy-ribbon/contract';
import type { TestedState } from '@icy-ribbon/core/thickness/learn';

/** A cup of the piece in hand with all that is computed of it. */
export interface Cup {
  readonly mix: Mix;
  readonly state: TestedState;
  readonly colorHex: string;
}
