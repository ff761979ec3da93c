import { sql, type Kysely, type Migration } from 'kysely';

/** How strongly a paint tints beside others; null is as strong as most. */
export const tintingStrength: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw('ALTER TABLE material ADD COLUMN tintingStrength REAL').execute(db);
  },
};
