import type { Ingredient, ShelvedMaterial } from '@icy-ribbon/contract';
import { applyShift, colorShift, meanShift, shiftWords } from '@icy-ribbon/core/paint/color';
import { isPaint } from '@icy-ribbon/core/paint/material';

export interface DryForecast {
  readonly hex: string;
  readonly words: string;
  readonly from: string;
}

/**
 * What a cup will dry to, from what its paints did before: the shift learned from their mixes, or the
 * paint's own wet and dry colors; nothing while none of it is known.
 */
export function driesTo(
  wetHex: string,
  ingredients: readonly Pick<Ingredient, 'targetMg' | 'material'>[],
  shelf: readonly Pick<ShelvedMaterial, 'id' | 'dryShift'>[],
): DryForecast | undefined {
  const known = ingredients
    .filter((each) => isPaint(each.material.kind) && each.targetMg > 0)
    .map(({ material }) => {
      const learned = shelf.find((each) => each.id === material.materialId)?.dryShift;
      if (learned) return { shift: learned, mixes: learned.mixes };
      return material.dryColorHex === null
        ? undefined
        : { shift: colorShift(material.colorHex, material.dryColorHex), mixes: 0 };
    });
  const found = known.filter((each) => each !== undefined);
  if (found.length === 0 || found.length < known.length) return undefined;
  const shift = meanShift(found.map((each) => each.shift))!;
  const mixes = Math.max(...found.map((each) => each.mixes));
  return {
    hex: applyShift(wetHex, shift),
    words: shiftWords(shift).replace('dried', 'dries'),
    from: mixes > 0 ? `learned from ${mixes} of its mixes` : 'from the paint’s own dry color',
  };
}
