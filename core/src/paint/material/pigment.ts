/** Pigment classes and the density a tube paint of each typically has, g/ml (common practice). */
export const PIGMENTS = [
  { pigment: 'organic', label: 'Organic', densityGPerMl: 1.12 },
  { pigment: 'carbon-black', label: 'Carbon black', densityGPerMl: 1.06 },
  { pigment: 'earth', label: 'Iron oxide or earth', densityGPerMl: 1.35 },
  { pigment: 'titanium-white', label: 'Titanium white', densityGPerMl: 1.45 },
  { pigment: 'cadmium-type', label: 'Cadmium-type hue', densityGPerMl: 1.3 },
  { pigment: 'metallic', label: 'Metallic or pearl', densityGPerMl: 1.15 },
] as const;

export type Pigment = (typeof PIGMENTS)[number]['pigment'];

/**
 * Typical density of a paint by its pigment; `undefined` for a pigment that is not known.
 *
 * @example pigmentDensity('titanium-white') // 1.45
 */
export function pigmentDensity(pigment: Pigment | null | undefined): number | undefined {
  return PIGMENTS.find((each) => each.pigment === pigment)?.densityGPerMl;
}

export const FINISHES = ['plain', 'metallic', 'pearl', 'interference', 'color-shift', 'neon'] as const;
export type Finish = (typeof FINISHES)[number];

export const OPACITIES = ['opaque', 'semi-opaque', 'semi-transparent', 'transparent'] as const;
export type Opacity = (typeof OPACITIES)[number];

/**
 * Metallics and pearls carry flakes that take more water in the measured Dutch recipe.
 *
 * @example takesMetallicParts('pearl') // true
 */
export function takesMetallicParts(finish: Finish): boolean {
  return finish === 'metallic' || finish === 'pearl';
}
