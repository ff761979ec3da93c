import { sql, type Kysely, type Migration } from 'kysely';

export const plan: Migration = {
  async up(db: Kysely<unknown>) {
    await sql
      .raw(
        `CREATE TABLE plan (
          pieceId TEXT PRIMARY KEY REFERENCES piece (id) ON DELETE CASCADE,
          body TEXT NOT NULL,
          version INTEGER NOT NULL, createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL) STRICT`,
      )
      .execute(db);
  },
};
