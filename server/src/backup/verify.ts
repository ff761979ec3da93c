import SqliteFile from 'better-sqlite3';
import { sqliteCode } from '../db/fault.ts';

/** Tables whose rows are never taken away, so that a copy holds at least what was there before it was made. */
export const COUNTED = [
  'material',
  'support',
  'piece',
  'mix',
  'mixAddition',
  'reading',
  'pourEvent',
  'photo',
  'judgement',
] as const;

export type Counts = Readonly<Record<(typeof COUNTED)[number], number>>;

/** What a database file holds, once it was found whole. */
export interface Verified {
  /** In words, what is wrong with it; undefined when it is whole. */
  readonly wrong: string | undefined;
  readonly counts: Counts | undefined;
  readonly hashes: readonly string[];
}

/** Reads a database file from end to end: its pages, what refers to what, how much there is of everything. */
export function verifyCopy(path: string): Promise<Verified> {
  return Promise.resolve(verify(path));
}

export function verify(path: string): Verified {
  const nothing = { counts: undefined, hashes: [] };
  let file: SqliteFile.Database;
  try {
    file = new SqliteFile(path, { readonly: true, fileMustExist: true });
  } catch {
    return { wrong: 'It cannot be opened.', ...nothing };
  }
  try {
    const [integrity] = file.pragma('integrity_check(1)') as { integrity_check: string }[];
    if (integrity?.integrity_check !== 'ok') return { wrong: 'Its pages are damaged.', ...nothing };
    if ((file.pragma('foreign_key_check') as unknown[]).length > 0) {
      return { wrong: 'Records in it refer to others that are not there.', ...nothing };
    }
    const hashes = file.prepare('SELECT DISTINCT hash FROM photo').all() as { hash: string }[];
    return { wrong: undefined, counts: countsOf(file), hashes: hashes.map(({ hash }) => hash) };
  } catch (error) {
    return { wrong: `It cannot be read (${sqliteCode(error) ?? 'unknown'}).`, ...nothing };
  } finally {
    file.close();
  }
}

export function countsOf(file: SqliteFile.Database): Counts {
  const count = (table: string) =>
    (file.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
  return Object.fromEntries(COUNTED.map((table) => [table, count(table)])) as Counts;
}
