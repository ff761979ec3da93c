import type { PourRecord } from '../outcome/index.ts';
import { asked, type Pinned } from './asked.ts';
import type { Cause, Missing } from './cause.ts';
import { CAUSE_ROWS, NEVER_RECORDED, type CauseRow } from './causes.ts';
import { LIKELY } from './weight.ts';

export interface Why {
  /** Likeliest first; those the record speaks against come last. */
  readonly causes: readonly Cause[];
  /** What the record would need to hold to tell. */
  readonly cannotTell: readonly Missing[];
}

/**
 * Why a fault came about: the usual causes of the trade (common practice, no published source), each held against
 * what was recorded of this pour. Numbers decide how likely a cause is; what was not recorded is said.
 *
 * @param pour the pour as one record
 * @param pinned the fault, and the cup it was pinned on
 * @returns facts; `web/words/cause` says them
 */
export function why(pour: PourRecord, pinned: Pinned): Why {
  const question = asked(pour, pinned);
  const rows = (CAUSE_ROWS as readonly CauseRow[]).filter(({ explains }) => explains.includes(pinned.kind));
  const answers = rows.map(({ code, weigh }) => ({ code, answer: weigh(question) }));
  const causes = answers.flatMap(({ code, answer }): Cause[] => {
    if (!answer || 'missing' in answer) return [];
    const weight = Math.min(1, Math.max(0, answer.weight));
    return [{ code, weight, isLikely: weight > LIKELY, facts: answer.facts } as Cause];
  });
  const lacking = answers.flatMap(({ answer }) => (answer && 'missing' in answer ? [answer.missing] : []));
  const never = NEVER_RECORDED[pinned.kind];
  return {
    causes: causes.sort((a, b) => b.weight - a.weight),
    cannotTell: [...new Set(never ? [...lacking, never] : lacking)],
  };
}
