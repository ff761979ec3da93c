import { ref, shallowRef } from 'vue';
import equal from 'fast-deep-equal';
import { ApiProblem } from '../api/problem.ts';
import { inTurn } from './inTurn.ts';

/** A write that met a newer version: what the artist wants, and what is there now. */
export interface Conflict {
  readonly mine: Readonly<Record<string, unknown>>;
  readonly theirs: Readonly<Record<string, unknown>>;
}

export const conflict = shallowRef<Conflict | null>(null);
const settle = ref<((keepMine: boolean) => void) | null>(null);

/** Answers the open conflict. */
export function decideConflict(keepMine: boolean): void {
  settle.value?.(keepMine);
  settle.value = null;
  conflict.value = null;
}

/**
 * Sends a change that names the version it started from. When the record has moved on, the artist is
 * shown both and decides; there is nothing to decide when what is there already says the same, as it does
 * when the answer to a first try was lost with the server.
 *
 * @param isThere whether a record already holds the change
 * @returns the record as it is now, or `undefined` when the artist took what was there
 */
export async function sendVersioned<Answer>(
  version: number,
  mine: Readonly<Record<string, unknown>>,
  send: (version: number) => Promise<Answer>,
  isThere: (theirs: Answer) => boolean = holds(mine),
): Promise<Answer | undefined> {
  try {
    return await send(version);
  } catch (error) {
    if (!(error instanceof ApiProblem) || !error.isStale) throw error;
    const theirs = (error.problem.current ?? {}) as Answer & Record<string, unknown> & { version?: number };
    if (isThere(theirs)) return theirs;
    const keepMine = await inTurn('conflict', () => ask({ mine, theirs }));
    return keepMine ? sendVersioned(theirs.version ?? 0, mine, send, isThere) : undefined;
  }
}

/** Whether a record says all that `mine` says; a change that names nothing is never known to be there. */
function holds(mine: Readonly<Record<string, unknown>>): (theirs: unknown) => boolean {
  const fields = Object.entries(mine);
  return (theirs) =>
    fields.length > 0 &&
    fields.every(([name, value]) => equal((theirs as Record<string, unknown>)[name], value));
}

function ask(found: Conflict): Promise<boolean> {
  return new Promise((resolve) => {
    settle.value = resolve;
    conflict.value = found;
  });
}
