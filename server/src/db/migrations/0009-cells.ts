import { sql, type Kysely, type Migration } from 'kysely';

/** Measured cells of a pour beside what the laws had expected, for forecasts to learn from. */
export const cells: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw(`ALTER TABLE pourFacts ADD COLUMN cells TEXT`).execute(db);
  },
};
