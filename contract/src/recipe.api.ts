import { ownRecipeCreateSchema, ownRecipeSchema, ownRecipeUpdateSchema } from './recipe.ts';
import { changingEndpoints } from './records.ts';

export const recipes = changingEndpoints(
  {
    path: '/api/recipes',
    tag: 'mix',
    shown: ownRecipeSchema,
    create: ownRecipeCreateSchema,
    words: {
      list: 'Recipes of one’s own',
      create: 'Write a recipe',
      remove: 'Delete a recipe',
      restore: 'Bring a recipe back',
    },
  },
  {
    method: 'PUT',
    update: ownRecipeUpdateSchema,
    words: 'Change a recipe; cups planned before keep theirs',
  },
);
