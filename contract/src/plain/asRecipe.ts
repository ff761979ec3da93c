import type { Recipe } from '@icy-ribbon/core/paint/recipe';
import type { OwnRecipe } from '../recipe.ts';

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
