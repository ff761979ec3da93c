import { sql, type Kysely, type Migration } from 'kysely';

/** When a piece was found touch-dry, once somebody touched it. */
export const touchDry: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw('ALTER TABLE piece ADD COLUMN touchDryAt TEXT').execute(db);
  },
};
