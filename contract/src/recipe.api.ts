import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { ownRecipeCreateSchema, ownRecipeSchema, ownRecipeUpdateSchema } from './recipe.ts';

export const recipes = {
  list: endpoint({
    method: 'GET',
    path: '/api/recipes',
    summary: 'Recipes of one’s own',
    tag: 'mix',
    query: z.object(longPageQuery),
    response: pageOf(ownRecipeSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/recipes',
    summary: 'Write a recipe',
    tag: 'mix',
    body: ownRecipeCreateSchema,
    response: ownRecipeSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PUT',
    path: '/api/recipes/:id',
    summary: 'Change a recipe; cups planned before keep theirs',
    tag: 'mix',
    params: idParams,
    body: ownRecipeUpdateSchema,
    response: ownRecipeSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/recipes/:id',
    summary: 'Delete a recipe (can be undone)',
    tag: 'mix',
    params: idParams,
    query: versionQuery,
    response: ownRecipeSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/recipes/:id/restore',
    summary: 'Bring a recipe back',
    tag: 'mix',
    params: idParams,
    body: versionBody,
    response: ownRecipeSchema,
  }),
};
