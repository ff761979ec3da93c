export { FILL_SHARE, portion, totalMassG, type Amount } from './amount.ts';
export { batchesOf, type Batch, type BatchCup } from './batch.ts';
export { findSchool, partsFor, recipesFor, refusal } from './choose.ts';
export { expand, type ExpandContext, type ExpandedPart, type IngredientSource } from './expand.ts';
export { fittingPaints } from './fittingPaints.ts';
export {
  PART_UNITS,
  of,
  paint,
  recipe,
  white,
  type PartSource,
  type PartUnit,
  type Recipe,
  type RecipePart,
  type RecipeVariant,
} from './recipe.ts';
export { SCHOOLS } from './schools.ts';
export { blendSchema, recipeIdSchema, recipeRuleShape, recipeShape } from './schema.ts';
