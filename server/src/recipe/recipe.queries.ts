import { randomUUID } from 'node:crypto';
import type { OwnRecipe, OwnRecipeCreate, OwnRecipeUpdate } from '@icy-ribbon/contract';
import { expand, findSchool, type Recipe } from '@icy-ribbon/core/paint/recipe';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';
import type { RecipeTable } from '../db/schema.ts';
import { ALL, rowsOf, type Page } from '../db/page.ts';

const toRecipe = ({ body, ...row }: Selectable<RecipeTable>): OwnRecipe => ({
  ...row,
  ...{ waterLimit: null, never: null, doseFactor: null, blend: null },
  ...fromJson(body),
});

export async function listRecipes(db: Reader, page: Page = ALL): Promise<OwnRecipe[]> {
  const rows = await db
    .selectFrom('recipe')
    .selectAll()
    .where('deletedAt', 'is', null)
    .orderBy('name')
    .limit(rowsOf(page).limit)
    .offset(rowsOf(page).offset)
    .execute();
  return rows.map(toRecipe);
}

export async function findOwnRecipe(db: Reader, id: string): Promise<OwnRecipe | undefined> {
  const row = await db.selectFrom('recipe').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toRecipe(row);
}

/** An own recipe as core reads it. */
export const asRecipe = ({
  thinning,
  restHours,
  waterLimit,
  doseFactor,
  never,
  blend,
  ...own
}: OwnRecipe): Recipe => ({
  ...own,
  ...(thinning && { thinning }),
  ...(restHours !== null && { restHours }),
  ...(waterLimit !== null && { waterLimit }),
  ...(doseFactor !== null && { doseFactor }),
  ...(never && { never }),
  ...(blend && { blend }),
});

/** Finds any recipe by its id: the artist's own first, then the schools. */
export async function recipeFinder(db: Reader): Promise<(id: string) => Recipe | undefined> {
  const own = new Map((await listRecipes(db)).map((recipe) => [recipe.id, asRecipe(recipe)]));
  return (id) => own.get(id) ?? findSchool(id);
}

export async function createRecipe(trx: Writer, input: OwnRecipeCreate): Promise<OwnRecipe> {
  const { id = randomUUID(), ...described } = input;
  const existing = await findOwnRecipe(trx, id);
  if (existing) return existing;
  await requireSound(trx, id, described);
  await insertRecipe(trx, { ...newRecord(id, timestamp()), ...described });
  return (await findOwnRecipe(trx, id))!;
}

export async function insertRecipe(trx: Writer, recipe: OwnRecipe): Promise<void> {
  const { id, version, createdAt, updatedAt, deletedAt, name, ...body } = recipe;
  const record = { id, version, createdAt, updatedAt, deletedAt };
  await trx
    .insertInto('recipe')
    .values({ ...record, name, body: toJson(body) })
    .execute();
}

export async function updateRecipe(trx: Writer, id: string, input: OwnRecipeUpdate): Promise<void> {
  const { version, ...described } = input;
  await requireSound(trx, id, described);
  const { name, ...body } = described;
  await updateVersioned(trx, 'recipe', { id, version }, { name, body: toJson(body) }, () =>
    findOwnRecipe(trx, id),
  );
}

/**
 * A recipe must open up to something: no recipe inside itself, no parts that are all 0.
 *
 * @throws InputError naming the part; densities are checked when a cup is planned with real materials
 */
async function requireSound(trx: Writer, id: string, described: Omit<OwnRecipeCreate, 'id'>): Promise<void> {
  const find = await recipeFinder(trx);
  const candidate = asRecipe({ ...newRecord(id, ''), ...described });
  expand([{ of: { kind: 'recipe', recipe: id }, amount: 1, unit: 'part' }], {
    findRecipe: (wanted) => (wanted === id ? candidate : find(wanted)),
    densityOf: () => 1,
  });
}
