import { sql, type Kysely, type Migration } from 'kysely';

/** How many colors a piece shall have; its cups are sized by it. */
export const colors: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw('ALTER TABLE piece ADD COLUMN colors INTEGER').execute(db);
  },
};
