import { sql, type Kysely, type Migration } from 'kysely';

/** A write that changes what is worked out of a piece notes the piece, with what was known of it, and drops that. */
const touch = (table: string, pieceId: (row: 'NEW' | 'OLD') => string) =>
  (['INSERT', 'UPDATE', 'DELETE'] as const).flatMap((event) => {
    const id = pieceId(event === 'DELETE' ? 'OLD' : 'NEW');
    return [
      `DROP TRIGGER IF EXISTS ${table}Forgets${event}`,
      `CREATE TRIGGER ${table}Touches${event} AFTER ${event} ON ${table} BEGIN
        INSERT OR IGNORE INTO touched
          SELECT piece.id, ${table === 'piece' && event === 'INSERT' ? 1 : 0}, code, trouble
          FROM piece LEFT JOIN pourFacts ON pieceId = piece.id WHERE piece.id = ${id};
        DELETE FROM pourFacts WHERE pieceId = ${id}; END`,
    ];
  });

const direct = (row: string) => `${row}.pieceId`;
const byMix = (row: string) => `(SELECT pieceId FROM mix WHERE id = ${row}.mixId)`;

/** Counts the changes of what something is worked out from, so that it need not be worked out anew before one. */
const count = (topic: string, event: string, table: string) =>
  `CREATE TRIGGER ${topic}After${table}${event.replace(/[^a-zA-Z]/g, '')} AFTER ${event} ON ${table} BEGIN
    UPDATE revision SET n = n + 1 WHERE topic = '${topic}'; END`;

const STATEMENTS = [
  // What came into a cup and what left it, in the order it happened whatever the clock said.
  `ALTER TABLE mixAddition ADD COLUMN place INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE mixMovement ADD COLUMN place INTEGER NOT NULL DEFAULT 0`,
  // What was weighed in elsewhere and came in by a file goes by its time, what is weighed in here by its number.
  `ALTER TABLE mixAddition ADD COLUMN imported INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE material ADD COLUMN countedAfterSeq INTEGER`,
  `CREATE TABLE studio (key TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT`,
  `CREATE TABLE touched (pieceId TEXT PRIMARY KEY, isNew INTEGER NOT NULL, code INTEGER, trouble TEXT) STRICT`,
  // A record that cannot be read is taken out of the way, not thrown away.
  `CREATE TABLE setAside (
    seq INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, what TEXT NOT NULL, id TEXT NOT NULL,
    reason TEXT NOT NULL, content TEXT NOT NULL) STRICT`,
  `DELETE FROM pourFacts`,
  `ALTER TABLE pourFacts ADD COLUMN summary TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE pourFacts ADD COLUMN trouble TEXT`,
  `ALTER TABLE pourFacts ADD COLUMN code INTEGER NOT NULL DEFAULT 0`,
  ...touch('mix', direct),
  ...touch('pourEvent', direct),
  ...touch('photo', direct),
  ...touch('judgement', direct),
  ...touch('reading', direct),
  ...touch('plan', direct),
  ...touch('mixIngredient', byMix),
  ...touch('mixAddition', byMix),
  ...touch('mixMovement', byMix),
  ...touch('piece', (row) => `${row}.id`),
  `CREATE TABLE revision (topic TEXT PRIMARY KEY, n INTEGER NOT NULL) STRICT`,
  `INSERT INTO revision VALUES ('learned', 0), ('dried', 0)`,
  count('learned', 'INSERT', 'reading'),
  count('learned', 'UPDATE', 'reading'),
  count('learned', 'DELETE', 'reading'),
  count('learned', 'UPDATE OF deletedAt', 'piece'),
  count('learned', 'UPDATE OF viscosityPaS, viscosityTrust, kind', 'material'),
  count('dried', 'UPDATE OF dryColorHex, deletedAt', 'mix'),
  count('dried', 'INSERT', 'mix'),
  count('dried', 'DELETE', 'mix'),
];

/** What keeps a studio readable: facts that are worked out before a write counts, sequence instead of time. */
export const safe: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
