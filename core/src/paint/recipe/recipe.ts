import type { MaterialKind } from '../material/index.ts';
import type { CupRole, StageName, Technique } from '../stage/index.ts';

/**
 * What goes into a cup and in which parts: materials, the cup's own paint, or another recipe (a bloom
 * medium inside a color).
 */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly RecipePart[];
  readonly variants?: readonly RecipeVariant[];
  readonly techniques: readonly Technique[];
  /** Empty for a recipe that only goes into others. */
  readonly cupRoles: readonly CupRole[];
  readonly goodFor: string;
  readonly trouble: string;
  /** What is stirred in afterwards, a little at a time, until the cup has this thickness. */
  readonly thinning?: { readonly with: MaterialKind; readonly to: StageName };
  /** Hours in a lidded cup before the pour. */
  readonly restHours?: number;
  /** Added water the finished mix may hold, as a mass fraction, where the recipe sets its own limit. */
  readonly waterLimit?: number;
  /** Of an activator: times the usual dose. */
  readonly doseFactor?: number;
  /** A saved color: the very paints its cup is stirred together of, by parts. */
  readonly blend?: readonly { readonly materialId: string; readonly parts: number }[];
  /** Kinds of paint it must not be made from, and why. */
  readonly never?: { readonly kinds: readonly MaterialKind[]; readonly because: string };
}

export interface RecipeVariant {
  readonly name: string;
  readonly parts: readonly RecipePart[];
  /** Taken by itself for metallic and pearl paints. */
  readonly forMetallics?: boolean;
}

export interface RecipePart {
  readonly of: PartSource;
  readonly amount: number;
  readonly unit: PartUnit;
}

export type PartSource =
  | { readonly kind: 'paint' }
  | { readonly kind: 'white' }
  | { readonly kind: 'material'; readonly material: MaterialKind }
  | { readonly kind: 'recipe'; readonly recipe: string };

/** Parts by weight, grams, or a volume; a recipe is written in parts or in amounts, not in both. */
export const PART_UNITS = ['part', 'g', 'ml', 'tsp', 'tbsp', 'drop', 'smidgen 1/32', 'smidgen 1/16'] as const;
export type PartUnit = (typeof PART_UNITS)[number];

/**
 * A part of a recipe: the paint of the cup.
 *
 * @example paint(1).of.kind // 'paint'
 */
export const paint = (amount: number, unit: PartUnit = 'part'): RecipePart => ({
  of: { kind: 'paint' },
  amount,
  unit,
});

/**
 * A part of a recipe: white tube paint.
 *
 * @example white(1).of.kind // 'white'
 */
export const white = (amount: number): RecipePart => ({
  of: { kind: 'white' },
  amount,
  unit: 'part',
});

/**
 * A part of a recipe: so much of a material.
 *
 * @example of('varnish', 2).amount // 2
 */
export const of = (material: MaterialKind, amount: number, unit: PartUnit = 'part'): RecipePart => ({
  of: { kind: 'material', material },
  amount,
  unit,
});

/**
 * A part of a recipe: so much of what another recipe makes.
 *
 * @example recipe('P1', 2).of.recipe // 'P1'
 */
export const recipe = (id: string, amount: number, unit: PartUnit = 'part'): RecipePart => ({
  of: { kind: 'recipe', recipe: id },
  amount,
  unit,
});
