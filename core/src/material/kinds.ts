/**
 * The kinds of material on the shelf, each with the values a shelf entry starts from until the artist
 * has measured it.
 *
 * Source: low-shear viscosities and densities are typical values of the trade (common practice, no
 * published source); water is 1.002 mPa.s and 0.9982 g/ml at 20 °C (standard tables, from memory).
 * A typical paint viscosity is good to about a factor of 2.5 (sd of its logarithm 0.92).
 */
export type MaterialGroup = 'paint' | 'medium' | 'thinner';

export interface MaterialKindDefinition {
  readonly kind: string;
  readonly label: string;
  readonly group: MaterialGroup;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
  /** Water the finished mix may hold before its film weakens, as a mass fraction. */
  readonly waterLimit?: { readonly caution: number; readonly stop: number };
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
    note: 'Stiff, strong color; needs the most thinning.',
  },
  {
    kind: 'artist-tube',
    label: 'Artist tube paint',
    group: 'paint',
    viscosityPaS: 45,
    densityGPerMl: 1.2,
    waterLimit: TUBE_WATER,
    note: 'More pigment and binder; breaks up less when thin.',
  },
  {
    kind: 'student-tube',
    label: 'Student tube paint',
    group: 'paint',
    viscosityPaS: 30,
    densityGPerMl: 1.2,
    waterLimit: TUBE_WATER,
    note: 'Less pigment; may break up when thin.',
  },
  {
    kind: 'soft-body',
    label: 'Soft-body paint',
    group: 'paint',
    viscosityPaS: 12,
    densityGPerMl: 1.15,
    waterLimit: TUBE_WATER,
    note: 'Between tube and fluid.',
  },
  {
    kind: 'fluid',
    label: 'Fluid paint',
    group: 'paint',
    viscosityPaS: 2.5,
    densityGPerMl: 1.1,
    waterLimit: TUBE_WATER,
    note: 'Strong color, already thin: little water moves it far.',
  },
  {
    kind: 'craft',
    label: 'Craft paint',
    group: 'paint',
    viscosityPaS: 3,
    densityGPerMl: 1.15,
    waterLimit: CRAFT_WATER,
    note: 'Weak binder: cannot be stretched with water.',
  },
  {
    kind: 'flow-conditioner',
    label: 'Flow conditioner',
    group: 'medium',
    viscosityPaS: 1.2,
    densityGPerMl: 1.03,
    note: 'The usual Dutch medium. Strain it, keep it closed; a rotten smell means spoilt.',
  },
  {
    kind: 'cell-conditioner',
    label: 'Cell-forming conditioner',
    group: 'medium',
    viscosityPaS: 0.35,
    densityGPerMl: 1.03,
    note: 'The activator medium; not sold everywhere.',
  },
  {
    kind: 'pouring-medium',
    label: 'Pouring medium',
    group: 'medium',
    viscosityPaS: 3,
    densityGPerMl: 1.05,
    note: 'Binder-rich: 5 to 10 % strengthens a mix that breaks up.',
  },
  {
    kind: 'glue',
    label: 'PVA glue',
    group: 'medium',
    viscosityPaS: 6,
    densityGPerMl: 1.08,
    note: 'The cheap medium.',
  },
  {
    kind: 'untinted-base',
    label: 'Untinted deep base',
    group: 'medium',
    viscosityPaS: 6,
    densityGPerMl: 1.12,
    note: 'House paint without pigment; the body of the bloom medium.',
  },
  {
    kind: 'wall-paint',
    label: 'White interior wall paint',
    group: 'paint',
    viscosityPaS: 8,
    densityGPerMl: 1.35,
    waterLimit: TUBE_WATER,
    note: 'Low sheen or semi-gloss, for pillows. Not ceiling paint: it is chalky and cracks.',
  },
  {
    kind: 'varnish',
    label: 'Water-based gloss varnish',
    group: 'thinner',
    viscosityPaS: 0.35,
    densityGPerMl: 1.03,
    note: 'Thins and strengthens the bloom medium.',
  },
  {
    kind: 'polyurethane',
    label: 'Clear polyurethane',
    group: 'thinner',
    viscosityPaS: 0.8,
    densityGPerMl: 1.04,
    note: 'Ventilate; follow the maker’s safety sheet.',
  },
  {
    kind: 'water',
    label: 'Water',
    group: 'thinner',
    viscosityPaS: 1.002e-3,
    densityGPerMl: 0.9982,
    note: 'Can be added, never taken out.',
  },
] as const satisfies readonly MaterialKindDefinition[];

export type MaterialKind = (typeof MATERIAL_KINDS)[number]['kind'];

const BY_KIND = new Map<MaterialKind, MaterialKindDefinition>(
  MATERIAL_KINDS.map((definition) => [definition.kind, definition]),
);

export function materialKind(kind: MaterialKind): MaterialKindDefinition {
  const definition = BY_KIND.get(kind);
  if (!definition) throw new RangeError(`unknown material kind ${kind}`);
  return definition;
}

export function isPaint(kind: MaterialKind): boolean {
  return materialKind(kind).group === 'paint';
}
