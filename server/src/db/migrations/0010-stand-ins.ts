import { sql, type Kysely, type Migration } from 'kysely';

/** Which photos a stand-in made up, and which pieces are spoken for by one. */
export const standIns: Migration = {
  async up(db: Kysely<unknown>) {
    for (const table of ['photo', 'pourFacts']) {
      await sql.raw(`ALTER TABLE ${table} ADD COLUMN standIn INTEGER NOT NULL DEFAULT 0`).execute(db);
    }
  },
};
