import { sql, type Kysely, type Migration } from 'kysely';

/** As other parts of a piece: a write notes the piece and drops what was worked out of it. */
const touches = (['INSERT', 'UPDATE', 'DELETE'] as const).map(
  (event) => `CREATE TRIGGER careEventTouches${event} AFTER ${event} ON careEvent BEGIN
    INSERT OR IGNORE INTO touched
      SELECT piece.id, 0, code, trouble
      FROM piece LEFT JOIN pourFacts ON pieceId = piece.id WHERE piece.id = ${event === 'DELETE' ? 'OLD' : 'NEW'}.pieceId;
    DELETE FROM pourFacts WHERE pieceId = ${event === 'DELETE' ? 'OLD' : 'NEW'}.pieceId; END`,
);

/** What happens to a piece after its pour, and the piece it came out of. */
export const care: Migration = {
  async up(db: Kysely<unknown>) {
    const statements = [
      `CREATE TABLE careEvent (
        seq INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT NOT NULL UNIQUE,
        pieceId TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
        kind TEXT NOT NULL, at TEXT NOT NULL, data TEXT NOT NULL) STRICT`,
      `CREATE INDEX careEventByPiece ON careEvent (pieceId, seq)`,
      `ALTER TABLE piece ADD COLUMN origin TEXT`,
      ...touches,
    ];
    for (const statement of statements) await sql.raw(statement).execute(db);
  },
};
