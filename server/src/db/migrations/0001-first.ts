import { sql, type Kysely, type Migration } from 'kysely';

const recordColumns = `
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  createdAt TEXT NOT NULL,
  updatedAt TEXT NOT NULL,
  deletedAt TEXT
`;

const STATEMENTS = [
  `CREATE TABLE material (${recordColumns},
    name TEXT NOT NULL, kind TEXT NOT NULL, colorHex TEXT NOT NULL, finish TEXT NOT NULL,
    opacity TEXT NOT NULL, pigment TEXT, densityGPerMl REAL NOT NULL, densityTrust TEXT NOT NULL,
    viscosityPaS REAL NOT NULL, viscosityTrust TEXT NOT NULL, note TEXT NOT NULL) STRICT`,
  `CREATE TABLE support (${recordColumns},
    name TEXT NOT NULL, shape TEXT NOT NULL, widthMm REAL NOT NULL, heightMm REAL NOT NULL,
    sideDepthMm REAL NOT NULL) STRICT`,
  `CREATE TABLE piece (${recordColumns},
    name TEXT NOT NULL, technique TEXT NOT NULL, note TEXT NOT NULL,
    supportId TEXT NOT NULL REFERENCES support (id), supportSnapshot TEXT NOT NULL) STRICT`,
  `CREATE INDEX pieceByAge ON piece (createdAt)`,
  `CREATE TABLE mix (${recordColumns},
    pieceId TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
    name TEXT NOT NULL, role TEXT NOT NULL, schoolId TEXT NOT NULL, position INTEGER NOT NULL) STRICT`,
  `CREATE INDEX mixByPiece ON mix (pieceId, position)`,
  `CREATE TABLE mixIngredient (
    id TEXT PRIMARY KEY,
    mixId TEXT NOT NULL REFERENCES mix (id) ON DELETE CASCADE,
    position INTEGER NOT NULL, role TEXT NOT NULL, parts REAL NOT NULL, targetMg INTEGER NOT NULL,
    materialId TEXT NOT NULL REFERENCES material (id), materialSnapshot TEXT NOT NULL) STRICT`,
  `CREATE INDEX mixIngredientByMix ON mixIngredient (mixId, position)`,
  `CREATE TABLE mixAddition (
    seq INTEGER PRIMARY KEY AUTOINCREMENT,
    id TEXT NOT NULL UNIQUE,
    mixId TEXT NOT NULL REFERENCES mix (id) ON DELETE CASCADE,
    ingredientId TEXT NOT NULL REFERENCES mixIngredient (id) ON DELETE CASCADE,
    mg INTEGER NOT NULL CHECK (mg >= 0), source TEXT NOT NULL, at TEXT NOT NULL, voidedAt TEXT) STRICT`,
  `CREATE INDEX mixAdditionByMix ON mixAddition (mixId, seq)`,
  `CREATE TABLE pourEvent (
    seq INTEGER PRIMARY KEY AUTOINCREMENT,
    id TEXT NOT NULL UNIQUE,
    pieceId TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
    kind TEXT NOT NULL, at TEXT NOT NULL, data TEXT NOT NULL) STRICT`,
  `CREATE INDEX pourEventByPiece ON pourEvent (pieceId, seq)`,
  `CREATE TABLE photo (
    id TEXT PRIMARY KEY,
    pieceId TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
    version INTEGER NOT NULL, state TEXT NOT NULL, hash TEXT NOT NULL,
    widthPx INTEGER NOT NULL, heightPx INTEGER NOT NULL,
    createdAt TEXT NOT NULL, deletedAt TEXT) STRICT`,
  `CREATE INDEX photoByPiece ON photo (pieceId, createdAt)`,
  `CREATE TABLE judgement (
    pieceId TEXT PRIMARY KEY REFERENCES piece (id) ON DELETE CASCADE,
    cells INTEGER, lacing INTEGER, petals INTEGER, mud INTEGER, cellSizeMm REAL,
    tryNext TEXT NOT NULL, note TEXT NOT NULL,
    version INTEGER NOT NULL, createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL) STRICT`,
];

export const first: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
