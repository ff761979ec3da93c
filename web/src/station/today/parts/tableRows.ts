import type { PieceSummary } from '@icy-ribbon/contract';
import type { DueItem } from './due.ts';
import { workAt } from './workAt.ts';

/** A piece that waits for something. */
export interface TableRow extends DueItem {
  readonly cups: PieceSummary['mixes'];
}

/**
 * Every piece that waits for something, once: first what is due, then what is open with its next step.
 *
 * @param due in its order
 * @param open pieces that are not judged yet
 * @param inHandId the piece that is shown on its own
 */
export function tableRows(
  due: readonly DueItem[],
  open: readonly PieceSummary[],
  inHandId: string | null,
): TableRow[] {
  const cupsOf = new Map(open.map(({ id, mixes }) => [id, mixes]));
  const pressing = new Map(due.toReversed().map((item) => [item.id, item]));
  const first = due.filter((item) => pressing.get(item.id) === item);
  const rest = open
    .filter(({ id }) => !pressing.has(id))
    .map((piece) => ({ id: piece.id, name: piece.name, what: piece.next, to: workAt(piece) }));
  return [...first, ...rest]
    .filter(({ id }) => id !== inHandId)
    .map((item) => ({ ...item, cups: cupsOf.get(item.id) ?? [] }));
}
