export {
  INGREDIENT_ROLES,
  MATERIAL_KINDS,
  densityInMix,
  isPaint,
  materialKind,
  roleOf,
  type IngredientRole,
  type MaterialGroup,
  type MaterialKind,
  type MaterialKindDefinition,
} from './kinds.ts';
export {
  FINISHES,
  OPACITIES,
  PIGMENTS,
  pigmentDensity,
  takesMetallicParts,
  type Finish,
  type Opacity,
  type Pigment,
} from './pigment.ts';
export { TRUSTS, trustOf, viscositySdLn, type Trust } from './trust.ts';
export { materialKindSchema, materialShape, packShape } from './schema.ts';
export { substitutesFor, type Substitute } from './substitute.ts';
export { holdsSilicone } from './silicone.ts';
export { stockLeftMg } from './stock.ts';
