import type { Rank } from '@icy-ribbon/contract';
import type { Response } from 'express';
import { HttpProblem } from '../http/problem.ts';
import type { KeptDevice } from './devices.ts';

/** Who a request is from, as the guard found out. */
export interface Caller {
  /** Null at home, or by the passphrase. */
  readonly device: KeptDevice | null;
  readonly isHome: boolean;
  readonly rank: Rank;
  /** Whether it is still let in: it may be signed out while what it asked for is done. */
  readonly isIn: () => boolean;
}
export const callerOf = ({ locals }: Response): Caller => locals.caller as Caller;

export const SIGNED_OUT = (): HttpProblem =>
  new HttpProblem(
    'sign-in-needed',
    'This device has been signed out. Open "Devices" on one that is signed in, and let this one join.',
  );
