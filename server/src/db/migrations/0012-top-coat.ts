import { sql, type Kysely, type Migration } from 'kysely';

/** When a piece got its top coat, once it was ticked off. */
export const topCoat: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw('ALTER TABLE piece ADD COLUMN topCoatedAt TEXT').execute(db);
  },
};
