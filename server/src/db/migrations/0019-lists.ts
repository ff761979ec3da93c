import { sql, type Kysely, type Migration } from 'kysely';

/** What changes the numbers of all pours: what is worked out of a piece, and the piece itself. */
const count = (event: string, table: string) =>
  `CREATE TRIGGER numbersAfter${table}${event.replace(/[^a-zA-Z]/g, '')} AFTER ${event} ON ${table} BEGIN
    UPDATE revision SET n = n + 1 WHERE topic = 'numbers'; END`;

/** Long lists: pages in the order of the pieces by an index, numbers of all pours kept until one changes. */
export const lists: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of [
      'CREATE INDEX pieceByCreated ON piece (createdAt DESC, id) WHERE deletedAt IS NULL',
      `INSERT INTO revision (topic, n) VALUES ('numbers', 0)`,
      ...['INSERT', 'DELETE', 'UPDATE'].map((event) => count(event, 'pourFacts')),
      count('UPDATE OF name, technique, deletedAt', 'piece'),
    ]) {
      await sql.raw(statement).execute(db);
    }
  },
};
