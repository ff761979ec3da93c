import { sql, type Kysely, type Migration } from 'kysely';

/** What a support is: a canvas, as all were taken for before. */
export const supportKind: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw(`ALTER TABLE support ADD COLUMN kind TEXT NOT NULL DEFAULT 'canvas'`).execute(db);
  },
};
