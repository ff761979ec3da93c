const lastOf = new Map<string, Promise<unknown>>();

/**
 * Runs the writes of one record one after another, in the order they were asked for, so that each starts
 * from the version that the one before gave: fast hands never meet their own change as another's.
 *
 * @param key what is written
 * @returns what `write` gave; when it failed, the next one is run all the same
 */
export function inTurn<Answer>(key: string, write: () => Promise<Answer>): Promise<Answer> {
  const before = lastOf.get(key) ?? Promise.resolve();
  const mine = before.then(write, write);
  lastOf.set(key, mine);
  const forget = () => {
    if (lastOf.get(key) === mine) lastOf.delete(key);
  };
  mine.then(forget, forget);
  return mine;
}
