import { sql, type Kysely, type Migration } from 'kysely';

/** What kind of file the camera's own one is, where it was kept beside the photo. */
export const originals: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw('ALTER TABLE photo ADD COLUMN original TEXT').execute(db);
  },
};
