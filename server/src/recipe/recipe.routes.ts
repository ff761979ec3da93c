import { api, ownRecipeSchema } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { pageOfRecords } from '../db/page.ts';
import { found, timestamp } from '../db/record.ts';
import { setDeleted } from '../db/setDeleted.ts';
import { write } from '../db/write.ts';
import { route } from '../http/route.ts';
import { createRecipe, findOwnRecipe, listRecipes, updateRecipe } from './recipe.queries.ts';

export function recipeRoutes(router: Router, db: Db): void {
  route(router, api.recipes.list, ({ query }) =>
    pageOfRecords(db, 'recipe', ownRecipeSchema, query, listRecipes),
  );
  route(router, api.recipes.create, ({ body }) => write(db, (trx) => createRecipe(trx, body)));
  route(router, api.recipes.update, ({ params: { id }, body }) =>
    write(db, async (trx) => {
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
