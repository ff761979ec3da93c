import { sql, type Kysely, type Migration } from 'kysely';

const NOTHING_CHOSEN = '{"thickness":null,"cells":null,"lacing":null,"reach":null,"negativeSpace":null}';

/** What the artist wants of a piece; powders by what a loose spoonful weighs, where nobody measured it. */
export const aims: Migration = {
  async up(db: Kysely<unknown>) {
    await sql.raw(`ALTER TABLE piece ADD COLUMN aims TEXT NOT NULL DEFAULT '${NOTHING_CHOSEN}'`).execute(db);
    await sql
      .raw(
        `UPDATE material SET densityGPerMl = CASE kind WHEN 'mica-powder' THEN 0.3 ELSE 0.4 END
         WHERE kind IN ('mica-powder', 'pigment-powder') AND densityTrust = 'typical'`,
      )
      .execute(db);
  },
};
