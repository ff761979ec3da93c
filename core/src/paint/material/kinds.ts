import type { CautionName } from '../caution/index.ts';

/**
 * The kinds of material on the shelf, each with the values a shelf entry starts from until the artist
 * has measured it.
 *
 * Source: low-shear viscosities and densities are typical values of the trade (common practice, no
 * published source); water is 1.002 mPa.s and 0.9982 g/ml at 20 °C (standard tables, from memory).
 * A typical paint viscosity is good to about a factor of 2.5 (sd of its logarithm 0.92).
 * Solids and binder are rough shares (from memory); a powder's "viscosity" only says that it thickens.
 */
export type MaterialGroup = 'paint' | 'medium' | 'thinner' | 'powder' | 'finishing';

export interface MaterialKindDefinition {
  readonly kind: string;
  readonly label: string;
  readonly group: MaterialGroup;
  readonly viscosityPaS: number;
  /** As it is measured out; of a powder as it lies loose, in a spoon. */
  readonly densityGPerMl: number;
  /** Of a powder: what its grains take up inside a mix. */
  readonly solidGPerMl?: number;
  /** Water the finished mix may hold before its film weakens, as a mass fraction. */
  readonly waterLimit?: { readonly caution: number; readonly stop: number };
  /** Mass fraction that stays when it has dried, and the part of that which is binder. */
  readonly solids: number;
  readonly binder: number;
  readonly hazards?: readonly CautionName[];
  readonly note: string;
}

const TUBE_WATER = { caution: 0.3, stop: 0.5 } as const;
const CRAFT_WATER = { caution: 0.2, stop: 0.3 } as const;

export const MATERIAL_KINDS = [
  {
    kind: 'heavy-body-tube',
    label: 'Heavy-body tube paint',
    group: 'paint',
    viscosityPaS: 60,
    densityGPerMl: 1.2,
    waterLimit: TUBE_WATER,
    solids: 0.6,
    binder: 0.36,
    note: 'Stiff, strong color; needs the most thinning.',
  },
  {
    kind: 'artist-tube',
    label: 'Artist tube paint',
    group: 'paint',
    viscosityPaS: 45,
    densityGPerMl: 1.2,
    waterLimit: TUBE_WATER,
    solids: 0.55,
    binder: 0.35,
    note: 'More pigment and binder; breaks up less when thin.',
  },
  {
    kind: 'student-tube',
    label: 'Student tube paint',
    group: 'paint',
    viscosityPaS: 30,
    densityGPerMl: 1.2,
    waterLimit: TUBE_WATER,
    solids: 0.5,
    binder: 0.28,
    note: 'Less pigment; may break up when thin.',
  },
  {
    kind: 'soft-body',
    label: 'Soft-body paint',
    group: 'paint',
    viscosityPaS: 12,
    densityGPerMl: 1.15,
    waterLimit: TUBE_WATER,
    solids: 0.5,
    binder: 0.3,
    note: 'Between tube and fluid.',
  },
  {
    kind: 'fluid',
    label: 'Fluid paint',
    group: 'paint',
    viscosityPaS: 2.5,
    densityGPerMl: 1.1,
    waterLimit: TUBE_WATER,
    solids: 0.45,
    binder: 0.3,
    note: 'Strong color, already thin: take less of it, and thin it with varnish; little water moves it far.',
  },
  {
    kind: 'craft',
    label: 'Craft paint',
    group: 'paint',
    viscosityPaS: 3,
    densityGPerMl: 1.15,
    waterLimit: CRAFT_WATER,
    solids: 0.4,
    binder: 0.2,
    note: 'Weak binder: cannot be stretched with water.',
  },
  {
    kind: 'flow-conditioner',
    label: 'Flow conditioner',
    group: 'medium',
    viscosityPaS: 1.2,
    densityGPerMl: 1.03,
    solids: 0.35,
    binder: 0.3,
    hazards: ['spoilt'],
    note: 'The usual Dutch medium. Strain it, keep it closed; a rotten smell means spoilt.',
  },
  {
    kind: 'cell-conditioner',
    label: 'Cell-forming conditioner',
    group: 'medium',
    viscosityPaS: 0.35,
    densityGPerMl: 1.03,
    solids: 0.35,
    binder: 0.3,
    hazards: ['spoilt'],
    note: 'The activator medium; not sold everywhere.',
  },
  {
    kind: 'pouring-medium',
    label: 'Pouring medium',
    group: 'medium',
    viscosityPaS: 3,
    densityGPerMl: 1.05,
    solids: 0.5,
    binder: 0.48,
    note: 'Binder-rich: 5 to 10 % strengthens a mix that breaks up.',
  },
  {
    kind: 'glue',
    label: 'PVA glue',
    group: 'medium',
    viscosityPaS: 6,
    densityGPerMl: 1.08,
    solids: 0.5,
    binder: 0.46,
    note: 'The cheap medium.',
  },
  {
    kind: 'untinted-base',
    label: 'Untinted deep base',
    group: 'medium',
    viscosityPaS: 6,
    densityGPerMl: 1.12,
    solids: 0.5,
    binder: 0.44,
    hazards: ['spoilt'],
    note: 'House paint without pigment; the body of the bloom medium.',
  },
  {
    kind: 'wall-paint',
    label: 'White interior wall paint',
    group: 'paint',
    viscosityPaS: 8,
    densityGPerMl: 1.35,
    waterLimit: TUBE_WATER,
    solids: 0.55,
    binder: 0.27,
    hazards: ['ceiling'],
    note: 'Low sheen or semi-gloss, for pillows. Not ceiling paint: it is chalky and cracks.',
  },
  {
    kind: 'varnish',
    label: 'Water-based gloss varnish',
    group: 'thinner',
    viscosityPaS: 0.35,
    densityGPerMl: 1.03,
    solids: 0.35,
    binder: 0.33,
    note: 'Thins and strengthens the bloom medium.',
  },
  {
    kind: 'polyurethane',
    label: 'Clear polyurethane',
    group: 'thinner',
    viscosityPaS: 0.8,
    densityGPerMl: 1.04,
    solids: 0.35,
    binder: 0.33,
    hazards: ['varnish'],
    note: 'Ventilate; follow the maker’s safety sheet.',
  },
  {
    kind: 'water',
    label: 'Water',
    group: 'thinner',
    viscosityPaS: 1.002e-3,
    densityGPerMl: 0.9982,
    solids: 0,
    binder: 0,
    note: 'Can be added, never taken out.',
  },
  {
    kind: 'ink',
    label: 'Acrylic ink',
    group: 'paint',
    viscosityPaS: 0.02,
    densityGPerMl: 1.03,
    waterLimit: CRAFT_WATER,
    solids: 0.2,
    binder: 0.12,
    note: 'Thin as water and strong: a few drops tint.',
  },
  {
    kind: 'gel-stain',
    label: 'Gel stain',
    group: 'paint',
    viscosityPaS: 8,
    densityGPerMl: 1.0,
    waterLimit: CRAFT_WATER,
    solids: 0.35,
    binder: 0.25,
    note: 'See-through brown; try it in a small test first.',
  },
  {
    kind: 'anti-crazing-medium',
    label: 'Anti-crazing medium',
    group: 'medium',
    viscosityPaS: 3,
    densityGPerMl: 1.05,
    solids: 0.5,
    binder: 0.48,
    note: 'A squirt (5 to 10 %) strengthens a mix that breaks up or cracks.',
  },
  {
    kind: 'mica-powder',
    label: 'Mica powder',
    group: 'powder',
    viscosityPaS: 100,
    densityGPerMl: 0.3,
    solidGPerMl: 2.8,
    solids: 1,
    binder: 0,
    hazards: ['dust'],
    note: 'Wet it first in varnish and a little water, or stir it in last and slowly.',
  },
  {
    kind: 'pigment-powder',
    label: 'Pigment powder',
    group: 'powder',
    viscosityPaS: 100,
    densityGPerMl: 0.4,
    solidGPerMl: 3,
    solids: 1,
    binder: 0,
    hazards: ['dust'],
    note: 'Wet it first in varnish and a little water, or stir it in last and slowly.',
  },
  {
    kind: 'silicone-oil',
    label: 'Silicone oil',
    group: 'finishing',
    viscosityPaS: 0.35,
    densityGPerMl: 0.97,
    solids: 1,
    binder: 0,
    hazards: ['silicone'],
    note: '2 drops to 45 ml of color make a great many cells and spoil top coats.',
  },
  {
    kind: 'resin',
    label: 'Resin',
    group: 'finishing',
    viscosityPaS: 1,
    densityGPerMl: 1.12,
    solids: 1,
    binder: 1,
    hazards: ['resin'],
    note: 'Common kits: 1 : 1 with hardener by volume; follow the kit.',
  },
  {
    kind: 'hardener',
    label: 'Hardener',
    group: 'finishing',
    viscosityPaS: 0.4,
    densityGPerMl: 1,
    solids: 1,
    binder: 1,
    hazards: ['resin'],
    note: 'Goes with its own resin only.',
  },
  {
    kind: 'gilding-paint',
    label: 'Gilding paint',
    group: 'finishing',
    viscosityPaS: 1.5,
    densityGPerMl: 1.3,
    solids: 0.6,
    binder: 0.2,
    note: 'For lines on a sealed surface.',
  },
  {
    kind: 'mineral-spirits',
    label: 'Mineral spirits',
    group: 'finishing',
    viscosityPaS: 0.001,
    densityGPerMl: 0.78,
    solids: 0,
    binder: 0,
    hazards: ['torch', 'varnish'],
    note: 'Keep away from any flame.',
  },
  {
    kind: 'alcohol-ink',
    label: 'Alcohol ink',
    group: 'finishing',
    viscosityPaS: 0.003,
    densityGPerMl: 0.85,
    solids: 0.1,
    binder: 0.05,
    hazards: ['torch'],
    note: 'Burns: never torch it.',
  },
] as const satisfies readonly MaterialKindDefinition[];

export type MaterialKind = (typeof MATERIAL_KINDS)[number]['kind'];

const BY_KIND = new Map<MaterialKind, MaterialKindDefinition>(
  MATERIAL_KINDS.map((definition) => [definition.kind, definition]),
);

/**
 * A kind of material with its typical values.
 *
 * @example materialKind('artist-tube').viscosityPaS // 45
 */
export function materialKind(kind: MaterialKind): MaterialKindDefinition {
  const definition = BY_KIND.get(kind);
  if (!definition) throw new RangeError(`unknown material kind ${kind}`);
  return definition;
}

/**
 * Whether a kind of material is a paint.
 *
 * @example isPaint('varnish') // false
 */
export function isPaint(kind: MaterialKind): boolean {
  return materialKind(kind).group === 'paint';
}

/**
 * What a material's mass takes up inside a mix: a powder its grains, anything else what it measures.
 *
 * @example densityInMix({ kind: 'mica-powder', densityGPerMl: 0.3 }) // 2.8
 */
export const densityInMix = (material: {
  readonly kind: MaterialKind;
  readonly densityGPerMl: number;
}): number => materialKind(material.kind).solidGPerMl ?? material.densityGPerMl;

export const INGREDIENT_ROLES = ['medium', 'paint', 'thinner', 'water', 'powder'] as const;
export type IngredientRole = (typeof INGREDIENT_ROLES)[number];

/**
 * What a material does in a cup.
 *
 * @example roleOf('water') // 'water'
 */
export function roleOf(kind: MaterialKind): IngredientRole {
  if (kind === 'water') return 'water';
  switch (materialKind(kind).group) {
    case 'paint':
      return 'paint';
    case 'powder':
      return 'powder';
    case 'thinner':
      return 'thinner';
    case 'medium':
    case 'finishing':
      return 'medium';
  }
}
