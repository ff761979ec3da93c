import { sql, type Kysely, type Migration } from 'kysely';

/** Drills that were played. */
export const drills: Migration = {
  async up(db: Kysely<unknown>) {
    await sql
      .raw(
        `CREATE TABLE drillRun (
          id TEXT PRIMARY KEY, version INTEGER NOT NULL,
          createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL, deletedAt TEXT,
          drill TEXT NOT NULL, score REAL NOT NULL, answers TEXT NOT NULL, measures TEXT NOT NULL) STRICT`,
      )
      .execute(db);
  },
};
