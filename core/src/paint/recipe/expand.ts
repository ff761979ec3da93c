import { InputError } from '../../base/error/index.ts';
import type { MaterialKind } from '../material/index.ts';
import { convert } from '../../base/unit/convert.ts';
import type { PartSource, PartUnit, Recipe, RecipePart } from './recipe.ts';

/** What a cup is really filled with: the paint, white, or a kind of material. */
export type IngredientSource = Exclude<PartSource, { kind: 'recipe' }>;

export interface ExpandedPart {
  readonly of: IngredientSource;
  /** Share of the cup's mass. */
  readonly share: number;
}

export interface ExpandContext {
  readonly findRecipe: (id: string) => Recipe | undefined;
  /** Needed only where a recipe is written by volume; `undefined` when it is not known. */
  readonly densityOf: (source: IngredientSource) => number | undefined;
}

/**
 * The ingredients of a recipe as shares of its mass, recipes inside it opened up and equal ingredients
 * added together.
 *
 * @param parts the parts of a recipe or of one of its variants
 * @returns shares that sum to 1, in the order in which they first appear
 * @throws InputError naming the part ("parts.2.amount") that cannot be: a recipe inside itself, an
 * amount of zero in all, a volume of something whose density is not known, parts mixed with amounts
 * @example
 * expand([paint(1), of('water', 3)], { findRecipe: () => undefined, densityOf: () => 1 })[1].share // 0.75
 */
export function expand(parts: readonly RecipePart[], context: ExpandContext): ExpandedPart[] {
  return merge(expandWithin(parts, context, []));
}

function expandWithin(
  parts: readonly RecipePart[],
  context: ExpandContext,
  within: readonly string[],
): ExpandedPart[] {
  if (parts.length === 0) throw new InputError('parts', 'A recipe needs at least one part.');
  requireOneWay(parts);
  const opened = parts.map((part, index) => open(part, index, context, within));
  const masses = parts.map((part, index) => massOf(part, index, opened[index] ?? [], context));
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  if (total <= 0) throw new InputError('parts', 'The parts of a recipe cannot all be 0.');
  return opened.flatMap((inner, index) =>
    inner.map((each) => ({ of: each.of, share: (each.share * (masses[index] ?? 0)) / total })),
  );
}

function requireOneWay(parts: readonly RecipePart[]): void {
  const mixed = parts.findIndex((part) => (part.unit === 'part') !== (parts[0]?.unit === 'part'));
  if (mixed >= 0) {
    throw new InputError(
      `parts.${mixed}.unit`,
      'A recipe is written in parts by weight or in grams, spoons and drops, not in both.',
    );
  }
}

function open(
  part: RecipePart,
  index: number,
  context: ExpandContext,
  within: readonly string[],
): ExpandedPart[] {
  if (!Number.isFinite(part.amount) || part.amount < 0) {
    throw new InputError(`parts.${index}.amount`, 'An amount must be 0 or more.');
  }
  if (part.of.kind !== 'recipe') return [{ of: part.of, share: 1 }];
  const { recipe: id } = part.of;
  const inner = context.findRecipe(id);
  if (!inner) throw new InputError(`parts.${index}.of`, 'The recipe inside this one is gone.');
  if (within.includes(id)) {
    throw new InputError(
      `parts.${index}.of`,
      `A recipe cannot contain itself: ${[...within, id].join(' in ')}.`,
    );
  }
  return merge(expandWithin(inner.parts, context, [...within, id]));
}

/** Mass of a part: grams, or parts by weight, which are only compared among themselves. */
function massOf(
  part: RecipePart,
  index: number,
  inner: readonly ExpandedPart[],
  context: ExpandContext,
): number {
  if (part.unit === 'part' || part.unit === 'g') return part.amount;
  if (part.amount === 0) return 0;
  return convert(part.amount, part.unit, 'g', densityOfMix(part, index, inner, context));
}

function densityOfMix(
  part: RecipePart,
  index: number,
  inner: readonly ExpandedPart[],
  context: ExpandContext,
): number {
  const volumePerGram = inner.reduce((sum, each) => {
    const density = context.densityOf(each.of);
    if (density === undefined || density <= 0) {
      throw new InputError(
        `parts.${index}.unit`,
        `To measure by ${unitWord(part.unit)}, the density of ${sourceWord(each.of)} must be known.`,
      );
    }
    return sum + each.share / density;
  }, 0);
  return 1 / volumePerGram;
}

const unitWord = (unit: PartUnit): string => (unit.startsWith('smidgen') ? 'smidgen' : unit);

function sourceWord(source: IngredientSource): string {
  switch (source.kind) {
    case 'paint':
      return 'the paint';
    case 'white':
      return 'the white';
    case 'material':
      return source.material;
  }
}

const keyOf = (source: IngredientSource): MaterialKind | 'paint' | 'white' =>
  source.kind === 'material' ? source.material : source.kind;

function merge(parts: readonly ExpandedPart[]): ExpandedPart[] {
  const merged = new Map<string, ExpandedPart>();
  for (const part of parts) {
    const before = merged.get(keyOf(part.of));
    merged.set(keyOf(part.of), { of: part.of, share: part.share + (before?.share ?? 0) });
  }
  return [...merged.values()].filter((part) => part.share > 0);
}
