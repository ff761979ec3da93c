import { materialKind } from '@icy-ribbon/core/paint/material';
import type { PartSource, Recipe, RecipePart } from '@icy-ribbon/core/paint/recipe';
import { partsWords } from './general.ts';

/** What a part of a recipe is, in words. */
export function sourceWords(source: PartSource, find: (id: string) => Recipe | undefined): string {
  switch (source.kind) {
    case 'paint':
      return 'the paint';
    case 'white':
      return 'white tube paint';
    case 'material':
      return materialKind(source.material).label.toLowerCase();
    case 'recipe':
      return find(source.recipe)?.name.toLowerCase() ?? 'a recipe that is gone';
  }
}

/** "2 : 1 : 0.75" for parts by weight, "2 tbsp : 1 tbsp : 30 drop" for measures. */
export function ratioWords(parts: readonly RecipePart[]): string {
  return parts[0]?.unit === 'part'
    ? partsWords(parts.map((part) => part.amount))
    : parts.map((part) => `${part.amount} ${part.unit}`).join(' : ');
}

/** "Conditioner, 2 : 1 : 0.75"; a name that says its parts already stands alone. */
export const recipeLabel = ({ name, parts }: Pick<Recipe, 'name' | 'parts'>): string =>
  name.includes(':') ? name : `${name}, ${ratioWords(parts)}`;

/** "2 flow conditioner, 1 the paint, 0.75 water". */
export function partsInWords(parts: readonly RecipePart[], find: (id: string) => Recipe | undefined): string {
  return parts
    .map((part) =>
      [part.amount, part.unit === 'part' ? '' : part.unit, sourceWords(part.of, find)]
        .filter((word) => word !== '')
        .join(' '),
    )
    .join(', ');
}
