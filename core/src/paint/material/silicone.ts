import { materialKind, type MaterialKind } from './kinds.ts';

/**
 * Whether silicone was mixed in, as far as the ingredients tell: it ruins top coats, and is not torched in a closed room.
 *
 * @param mg what each holds, whole milligrams
 */
export const holdsSilicone = (
  ingredients: readonly { readonly material: { readonly kind: MaterialKind } }[],
  mg: readonly number[],
): boolean =>
  ingredients.some(
    ({ material }, index) =>
      (mg[index] ?? 0) > 0 && (materialKind(material.kind).hazards?.includes('silicone') ?? false),
  );
