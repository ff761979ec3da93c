import type { Amounts, BlowerExit } from '../amount/index.ts';
import type { ContrastCup } from '../../thickness/match/index.ts';
import type { Plan, PlanPaint } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import type { Fix } from './fix.ts';

/** What is known of a cup that the plan pours. */
export interface CheckCup extends ContrastCup {
  /** False for one that is only planned. */
  readonly mixed: boolean;
  readonly leftG: number;
  readonly testedToday: boolean;
  /** Hours it still has to rest; 0 when it is rested or needs none. */
  readonly restHours: number;
  readonly water: 'fine' | 'caution' | 'stop';
  readonly weakFilm: boolean;
}

export interface Finding {
  readonly id: string;
  /** "wrong" spoils the piece, "look" may, "do" is to be done before the pour. */
  readonly level: 'wrong' | 'look' | 'do';
  readonly words: string;
  /** The number behind it. */
  readonly because: string;
  readonly fix: Fix | null;
}

export interface CheckInput {
  readonly technique: Technique;
  readonly support: SupportSize;
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
  readonly cups: readonly CheckCup[];
  readonly blowers: readonly BlowerExit[];
  readonly amounts: Amounts;
  /** Findings the artist has seen to: the table is level, cautions were read. */
  readonly ticked: readonly string[];
}

/** A number as it is said, without trailing zeros. */
export const round = (value: number, digits = 1): string => String(Number(value.toFixed(digits)));
