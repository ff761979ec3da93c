import { expected } from './belief.ts';
import { bendName, thicknessName } from './composition.ts';
import { counts as isCounted, learn, type LearnCup } from './learn.ts';
import type { ReadingRecord } from './record.ts';

/** What readings taught about a material. */
export interface LearnedThickness {
  readonly viscosityPaS: number;
  readonly sdLn: number;
  readonly waterBend: { readonly mean: number; readonly sd: number } | null;
  /** How many readings of cups it was in. */
  readonly readings: number;
}

/** What all readings of some cups, of whatever piece, taught about each of their materials. */
export function learnedMaterials(
  cups: readonly LearnCup[],
  readings: readonly ReadingRecord[],
): Map<string, LearnedThickness> {
  const standing = readings.filter((reading) => isCounted(reading) && reading.cupId !== null);
  const counts = new Map<string, number>();
  for (const reading of standing) {
    const cup = cups.find((each) => each.id === reading.cupId);
    for (const { ingredientId, mg } of reading.contents) {
      const id = cup?.ingredients.find((each) => each.id === ingredientId)?.material.materialId;
      if (id && mg > 0) counts.set(id, 1 + (counts.get(id) ?? 0));
    }
  }
  const belief = learn(cups, readings);
  const learned = new Map<string, LearnedThickness>();
  for (const { material } of cups.flatMap((cup) => cup.ingredients)) {
    const { materialId } = material;
    const count = counts.get(materialId) ?? 0;
    if (count === 0 || learned.has(materialId) || !belief.names.includes(thicknessName(materialId))) continue;
    const thickness = expected(belief, { [thicknessName(materialId)]: 1 });
    learned.set(materialId, {
      viscosityPaS: Math.exp(thickness.mean),
      sdLn: thickness.sd,
      waterBend: belief.names.includes(bendName(materialId))
        ? expected(belief, { [bendName(materialId)]: 1 })
        : null,
      readings: count,
    });
  }
  return learned;
}
