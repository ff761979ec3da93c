import { sql, type Kysely, type Migration } from 'kysely';

const STATEMENTS = [
  `ALTER TABLE material ADD COLUMN dryColorHex TEXT`,
  `ALTER TABLE material ADD COLUMN priceCents INTEGER`,
  `ALTER TABLE material ADD COLUMN packMg INTEGER`,
  `ALTER TABLE material ADD COLUMN stockMg INTEGER`,
  `ALTER TABLE material ADD COLUMN stockCountedAt TEXT`,
  `ALTER TABLE material ADD COLUMN openedOn TEXT`,
  `ALTER TABLE material ADD COLUMN canBuy INTEGER NOT NULL DEFAULT 1`,
  `ALTER TABLE material ADD COLUMN solids REAL`,
  `ALTER TABLE material ADD COLUMN waterLimit REAL`,
  `CREATE TABLE equipment (
    id TEXT PRIMARY KEY, version INTEGER NOT NULL,
    createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL, deletedAt TEXT,
    kind TEXT NOT NULL, name TEXT NOT NULL, body TEXT NOT NULL) STRICT`,
  `ALTER TABLE mix ADD COLUMN lid INTEGER NOT NULL DEFAULT 1`,
  `ALTER TABLE mix ADD COLUMN dryColorHex TEXT`,
  `CREATE TABLE recipe (
    id TEXT PRIMARY KEY, version INTEGER NOT NULL,
    createdAt TEXT NOT NULL, updatedAt TEXT NOT NULL, deletedAt TEXT,
    name TEXT NOT NULL, body TEXT NOT NULL) STRICT`,
  `ALTER TABLE mix ADD COLUMN recipe TEXT NOT NULL DEFAULT '{}'`,
  `UPDATE mix SET recipe = json_object('id', schoolId, 'name', schoolId, 'variant', NULL,
    'thinning', NULL, 'restHours', NULL)`,
  `ALTER TABLE mix DROP COLUMN schoolId`,
  `ALTER TABLE mixIngredient RENAME COLUMN parts TO share`,
  `UPDATE mixIngredient SET share = share /
    (SELECT sum(other.share) FROM mixIngredient AS other WHERE other.mixId = mixIngredient.mixId)`,
  `UPDATE mixIngredient SET materialSnapshot = json_set(materialSnapshot,
    '$.dryColorHex', NULL, '$.solids', NULL, '$.waterLimit', NULL)`,
  `CREATE INDEX mixIngredientByMaterial ON mixIngredient (materialId)`,
  `CREATE TABLE mixMovement (
    id TEXT PRIMARY KEY,
    mixId TEXT NOT NULL REFERENCES mix (id) ON DELETE CASCADE,
    kind TEXT NOT NULL, mg INTEGER NOT NULL CHECK (mg >= 0), at TEXT NOT NULL) STRICT`,
  `CREATE INDEX mixMovementByMix ON mixMovement (mixId, at)`,
];

export const recipesAndStock: Migration = {
  async up(db: Kysely<unknown>) {
    for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  },
};
