import { sql, type Kysely, type Migration } from 'kysely';

/** Writes that change what a pour's numbers are computed from; the row is computed anew when it is next asked for. */
const forget = (table: string, pieceId: (row: 'NEW' | 'OLD') => string) =>
  (['INSERT', 'UPDATE', 'DELETE'] as const).map((event) => {
    const row = event === 'DELETE' ? 'OLD' : 'NEW';
    return `CREATE TRIGGER ${table}Forgets${event} AFTER ${event} ON ${table} BEGIN
      DELETE FROM pourFacts WHERE pieceId = ${pieceId(row)}; END`;
  });

const direct = (row: string) => `${row}.pieceId`;
const byMix = (row: string) => `(SELECT pieceId FROM mix WHERE id = ${row}.mixId)`;

/** All words of a piece, gathered anew whenever one of them changes. */
const gather = (name: string, event: string, pieceId: string, when = '') =>
  `CREATE TRIGGER ${name} AFTER ${event} ${when} BEGIN
    DELETE FROM pieceWords WHERE rowid = (SELECT rowid FROM piece WHERE id = ${pieceId});
    INSERT INTO pieceWords (rowid, words) SELECT piece.rowid, piece.name || ' ' || piece.note
      || ' ' || coalesce((SELECT group_concat(mix.name, ' ') FROM mix
          WHERE mix.pieceId = piece.id AND mix.deletedAt IS NULL), '')
      || ' ' || coalesce((SELECT tryNext || ' ' || note || ' ' || faults FROM judgement
          WHERE judgement.pieceId = piece.id), '')
      || ' ' || coalesce((SELECT group_concat(coalesce(data ->> '$.text', data ->> '$.note', ''), ' ') FROM pourEvent
          WHERE pourEvent.pieceId = piece.id AND pourEvent.kind IN ('note', 'scrape', 'straw', 'skewer', 'photo')), '')
      FROM piece WHERE piece.id = ${pieceId};
  END`;

const STATEMENTS = [
  `ALTER TABLE judgement ADD COLUMN rating INTEGER`,
  `ALTER TABLE judgement ADD COLUMN verdict TEXT`,
  `ALTER TABLE judgement ADD COLUMN hangingDeg INTEGER`,
  `ALTER TABLE judgement ADD COLUMN faults TEXT NOT NULL DEFAULT '[]'`,
  `ALTER TABLE photo ADD COLUMN measurement TEXT`,
  `ALTER TABLE photo ADD COLUMN detail TEXT`,
  `CREATE TABLE savedView (
    id TEXT PRIMARY KEY, version INTEGER NOT NULL, createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL,
    deletedAt TEXT, name TEXT NOT NULL, filter TEXT NOT NULL) STRICT`,
  `CREATE TABLE pourFacts (
    pieceId TEXT PRIMARY KEY REFERENCES piece (id) ON DELETE CASCADE,
    pouredAt TEXT, tool TEXT, stage TEXT, rating INTEGER, photoId TEXT, numbers TEXT NOT NULL) STRICT`,
  `CREATE INDEX pourFactsByDate ON pourFacts (pouredAt)`,
  `CREATE INDEX pourEventByTool ON pourEvent (data ->> '$.tool', pieceId) WHERE kind = 'pass'`,
  `CREATE VIRTUAL TABLE pieceWords USING fts5 (words, tokenize = "unicode61 remove_diacritics 2")`,
  ...forget('mix', direct),
  ...forget('pourEvent', direct),
  ...forget('photo', direct),
  ...forget('judgement', direct),
  ...forget('reading', direct),
  ...forget('mixAddition', byMix),
  ...forget('mixMovement', byMix),
  ...forget('piece', (row) => `${row}.id`),
  gather('pieceWordsAdd', 'INSERT ON piece', 'NEW.id'),
  gather('pieceWordsChange', 'UPDATE OF name, note ON piece', 'NEW.id'),
  gather('mixWordsAdd', 'INSERT ON mix', 'NEW.pieceId'),
  gather('mixWordsChange', 'UPDATE OF name, deletedAt ON mix', 'NEW.pieceId'),
  gather('judgementWordsAdd', 'INSERT ON judgement', 'NEW.pieceId'),
  gather('judgementWordsChange', 'UPDATE ON judgement', 'NEW.pieceId'),
  gather(
    'eventWordsAdd',
    'INSERT ON pourEvent',
    'NEW.pieceId',
    `WHEN NEW.kind IN ('note', 'scrape', 'straw', 'skewer', 'photo')`,
  ),
  `CREATE TRIGGER pieceWordsGo BEFORE DELETE ON piece BEGIN
    DELETE FROM pieceWords WHERE rowid = OLD.rowid; END`,
  // What is there already is gathered by touching it.
  `UPDATE piece SET name = name`,
];

export const results: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
