import { sql, type Kysely, type Migration } from 'kysely';

const STATEMENTS = [
  `ALTER TABLE pourEvent ADD COLUMN insteadOf TEXT`,
  // Numbers are worked out anew when they are next asked for, with every tool that blew.
  `DELETE FROM pourFacts`,
  `ALTER TABLE pourFacts ADD COLUMN tools TEXT NOT NULL DEFAULT '[]'`,
  `DROP INDEX pourEventByTool`,
];

/** Events that correct others; the tools of a pour among its numbers, where corrections are seen to already. */
export const corrections: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
