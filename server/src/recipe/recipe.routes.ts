import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { found, setDeleted, timestamp } from '../db/record.ts';
import { route } from '../http/route.ts';
import { createRecipe, findOwnRecipe, listRecipes, updateRecipe } from './recipe.queries.ts';

export function recipeRoutes(router: Router, db: Db): void {
  route(router, api.recipes.list, async () => ({ items: await listRecipes(db) }));
  route(router, api.recipes.create, ({ body }) => db.transaction().execute((trx) => createRecipe(trx, body)));
  route(router, api.recipes.update, ({ params: { id }, body }) =>
    db.transaction().execute(async (trx) => {
      await updateRecipe(trx, id, body);
      return found(await findOwnRecipe(trx, id), 'recipe');
    }),
  );
  route(router, api.recipes.remove, ({ params: { id }, query: { version } }) =>
    setDeleted(db, 'recipe', { id, version }, timestamp(), (trx) => findOwnRecipe(trx, id)),
  );
  route(router, api.recipes.restore, ({ params: { id }, body: { version } }) =>
    setDeleted(db, 'recipe', { id, version }, null, (trx) => findOwnRecipe(trx, id)),
  );
}
