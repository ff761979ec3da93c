import { requirePositive } from '../../base/error/index.ts';
import { markAreaMm2, type SketchGrid } from './area.ts';
import type { Sketch, SketchMark } from './mark.ts';

/** How much of a paint a sketch takes. */
export interface SketchAmount {
  readonly materialId: string;
  readonly name: string;
  readonly colorHex: string;
  readonly areaMm2: number;
  readonly volumeMl: number;
  readonly massG: number;
}

/** Paint that stays in the cup and on the tool, on top of what lies (common practice, no published source). */
export const SKETCH_RESERVE = 0.25;

/**
 * How much of each paint a sketch takes: its area as thick as it shall lie, and a reserve.
 *
 * Law: m = A x film x density x (1 + reserve).
 *
 * @param densityOf a mixed paint of that material, g/ml
 * @throws InputError when the film is not above 0
 */
export function sketchAmounts(
  { marks, filmMm }: Pick<Sketch, 'marks' | 'filmMm'>,
  grid: SketchGrid,
  densityOf: (materialId: string) => number,
  reserve = SKETCH_RESERVE,
): SketchAmount[] {
  requirePositive('filmMm', filmMm, 'The film');
  const byPaint = new Map<string, { mark: SketchMark; areaMm2: number }>();
  for (const mark of marks) {
    const known = byPaint.get(mark.materialId);
    const areaMm2 = markAreaMm2(mark, grid) + (known?.areaMm2 ?? 0);
    byPaint.set(mark.materialId, { mark, areaMm2 });
  }
  return [...byPaint.values()].map(({ mark: { materialId, name, colorHex }, areaMm2 }) => {
    const volumeMl = (areaMm2 * filmMm * (1 + reserve)) / 1000;
    return { materialId, name, colorHex, areaMm2, volumeMl, massG: volumeMl * densityOf(materialId) };
  });
}
