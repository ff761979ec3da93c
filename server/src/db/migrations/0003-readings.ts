import { sql, type Kysely, type Migration } from 'kysely';

const STATEMENTS = [
  `ALTER TABLE mixAddition ADD COLUMN drawId TEXT`,
  `CREATE INDEX mixAdditionByDraw ON mixAddition (drawId)`,
  `ALTER TABLE mixMovement ADD COLUMN voidedAt TEXT`,
  `UPDATE mix SET recipe = json_set(recipe, '$.waterLimit', NULL)`,
  `UPDATE mixIngredient SET materialSnapshot = json_set(materialSnapshot,
    '$.viscositySdLn', NULL, '$.waterBend', NULL)`,
  `CREATE TABLE reading (
    seq INTEGER PRIMARY KEY AUTOINCREMENT,
    id TEXT NOT NULL UNIQUE,
    pieceId TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
    mixId TEXT REFERENCES mix (id) ON DELETE CASCADE,
    raceId TEXT, at TEXT NOT NULL, temperatureC REAL,
    contents TEXT NOT NULL, measure TEXT NOT NULL, struckAt TEXT) STRICT`,
  `CREATE INDEX readingByPiece ON reading (pieceId, seq)`,
  `CREATE TABLE calibration (
    id TEXT PRIMARY KEY, version INTEGER NOT NULL,
    createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL, deletedAt TEXT,
    kind TEXT NOT NULL, name TEXT NOT NULL, points TEXT NOT NULL) STRICT`,
];

export const readings: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
