import { asRecipe, ownRecipeSchema, type OwnRecipe, type OwnRecipeCreate } from '@icy-ribbon/contract';
import { expand, findSchool, type Recipe } from '@icy-ribbon/core/paint/recipe';
import { newRecord, type Reader, type Writer } from '../db/record.ts';
import { recordsOf } from '../db/records.ts';

export const RECIPES = recordsOf<OwnRecipe, OwnRecipeCreate>({
  table: 'recipe',
  what: 'recipe',
  schema: ownRecipeSchema,
  order: [['name', 'asc']],
  columns: ['name'],
  before: { waterLimit: null, never: null, doseFactor: null, blend: null },
  check: requireSound,
});

/** Finds any recipe by its id: the artist's own first, then the schools. */
export async function recipeFinder(db: Reader): Promise<(id: string) => Recipe | undefined> {
  const own = new Map((await RECIPES.list(db)).map((recipe) => [recipe.id, asRecipe(recipe)]));
  return (id) => own.get(id) ?? findSchool(id);
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
