import { isPaint, materialKind, type MaterialKind } from '../material/index.ts';
import type { CupRole } from '../stage/index.ts';
import type { Recipe } from './recipe.ts';

/**
 * What a cup of a recipe can be made from: powders where the recipe takes no paint, wall paint where a pillow is made of
 * it, else the artist's paints.
 */
export function fittingPaints<Material extends { readonly kind: MaterialKind }>(
  recipe: Recipe | undefined,
  role: CupRole,
  materials: readonly Material[],
): Material[] {
  if (recipe && !recipe.parts.some((part) => part.of.kind === 'paint'))
    return materials.filter(({ kind }) => materialKind(kind).group === 'powder');
  const ofWallPaint = role === 'pillow' && (recipe?.id.startsWith('P') ?? false);
  return materials.filter(({ kind }) => isPaint(kind) && (kind === 'wall-paint') === ofWallPaint);
}
