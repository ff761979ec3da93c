import { ref, shallowRef } from 'vue';
import { ApiProblem } from '../api/problem.ts';

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
 * shown both and decides.
 *
 * @returns what `send` gave, or `undefined` when the artist took what was there
 */
export async function sendVersioned<Answer>(
  version: number,
  mine: Readonly<Record<string, unknown>>,
  send: (version: number) => Promise<Answer>,
): Promise<Answer | undefined> {
  try {
    return await send(version);
  } catch (error) {
    if (!(error instanceof ApiProblem) || !error.isStale) throw error;
    const theirs = (error.problem.current ?? {}) as Record<string, unknown> & { version?: number };
    const keepMine = await ask({ mine, theirs });
    return keepMine ? sendVersioned(theirs.version ?? 0, mine, send) : undefined;
  }
}

function ask(found: Conflict): Promise<boolean> {
  return new Promise((resolve) => {
    settle.value = resolve;
    conflict.value = found;
  });
}
