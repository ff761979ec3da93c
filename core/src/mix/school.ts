import type { MaterialKind } from '../material/index.ts';
import type { CupRole, Technique } from '../thickness/index.ts';

/**
 * A school of mixing: what goes into a cup in which parts by weight, and what that is good for.
 * Source: common practice, no published source.
 */
export interface School {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly SchoolPart[];
  /** Replaces `parts` for metallic and pearl paints where the school treats them apart. */
  readonly metallicParts?: readonly SchoolPart[];
  readonly techniques: readonly Technique[];
  readonly cupRoles: readonly CupRole[];
  readonly goodFor: string;
  readonly trouble: string;
}

export interface SchoolPart {
  readonly role: IngredientRole;
  /** The kind of material that fills a medium, thinner or water part; a paint part takes the cup's paint. */
  readonly kind: MaterialKind | null;
  readonly parts: number;
}

export const INGREDIENT_ROLES = ['medium', 'paint', 'thinner', 'water'] as const;
export type IngredientRole = (typeof INGREDIENT_ROLES)[number];

const medium = (kind: MaterialKind, parts: number): SchoolPart => ({ role: 'medium', kind, parts });
const paint = (parts: number): SchoolPart => ({ role: 'paint', kind: null, parts });
const thinner = (kind: MaterialKind, parts: number): SchoolPart => ({
  role: 'thinner',
  kind,
  parts,
});
const water = (parts: number): SchoolPart => ({ role: 'water', kind: 'water', parts });

export const SCHOOLS = [
  {
    id: 'D2',
    name: 'Conditioner, measured water',
    parts: [medium('flow-conditioner', 2), paint(1), water(0.75)],
    metallicParts: [medium('flow-conditioner', 2), paint(1), water(1)],
    techniques: ['dutch'],
    cupRoles: ['base', 'color'],
    goodFor: 'Dutch pours; almost no mound, the same thickness every time',
    trouble: 'A fluid or craft paint comes out thinner: race it against the others',
  },
  {
    id: 'B1',
    name: 'Bloom medium 3 : 1, then 2 : 1',
    parts: [medium('untinted-base', 3), thinner('varnish', 1), paint(2)],
    techniques: ['bloom'],
    cupRoles: ['color'],
    goodFor: 'Bloom colors that stand and stretch; thinned with varnish, not water',
    trouble: 'Strain the base; opaque colors sink if laid low',
  },
  {
    id: 'P1',
    name: 'Pillow straight from the can',
    parts: [paint(1)],
    techniques: ['bloom'],
    cupRoles: ['pillow'],
    goodFor: 'A thick pillow that carries the bloom',
    trouble: 'Ceiling paint is chalky and cracks: wall paint only',
  },
  {
    id: 'A1',
    name: 'Activator 3 : 1',
    parts: [medium('cell-conditioner', 3), paint(1)],
    techniques: ['bloom'],
    cupRoles: ['activator'],
    goodFor: 'The thin sheet that opens into cells',
    trouble: 'Too much leaves a white blob, too little no lacing',
  },
] as const satisfies readonly School[];

export type SchoolId = (typeof SCHOOLS)[number]['id'];

export function findSchool(id: string): School | undefined {
  return SCHOOLS.find((school) => school.id === id);
}

/** The schools that can fill a cup of this role for this technique, the usual one first. */
export function schoolsFor(technique: Technique, role: CupRole): readonly School[] {
  return (SCHOOLS as readonly School[]).filter(
    (school) => school.techniques.includes(technique) && school.cupRoles.includes(role),
  );
}
