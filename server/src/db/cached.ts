import type { Db } from './open.ts';
import type { RevisionTable } from './schema.ts';

interface Kept {
  readonly revision: number;
  readonly value: unknown;
}

const keptOf = new WeakMap<Db, Map<string, Kept>>();
const MOST_KEPT = 500;

/**
 * What is worked out from many records, kept until one of them changes: triggers count the changes by topic.
 *
 * @param key what it is, under its topic
 */
export async function cached<Value>(
  db: Db,
  topic: RevisionTable['topic'],
  key: string,
  workOut: () => Promise<Value>,
): Promise<Value> {
  const { n: revision } = await db
    .selectFrom('revision')
    .select('n')
    .where('topic', '=', topic)
    .executeTakeFirstOrThrow();
  const kept = keptOf.get(db) ?? new Map<string, Kept>();
  keptOf.set(db, kept);
  const name = `${topic} ${key}`;
  const found = kept.get(name);
  if (found?.revision === revision) return found.value as Value;
  // The count is read before the records: a change in between only means that it is worked out once more.
  const value = await workOut();
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(name, { revision, value });
  return value;
}
