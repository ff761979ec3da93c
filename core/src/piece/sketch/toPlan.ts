import { EMPTY_PLAN, type Plan, type PlanPath, type PlanStack } from '../plan/index.ts';
import { markMask, type SketchGrid } from './area.ts';
import type { Sketch, SketchMark } from './mark.ts';

const LEAST_FOOTPRINT_MM = 10;

/**
 * A sketch as a plan that can be poured: strokes and petals become lines, areas piles that are as wide; each with the grams
 * of its own area and film, in the order they were drawn.
 *
 * @param cupIdOf the planned cup of a paint
 * @param densityOf a mixed paint of that material, g/ml
 */
export function sketchPlan(
  { marks, filmMm }: Pick<Sketch, 'marks' | 'filmMm'>,
  grid: SketchGrid,
  {
    cupIdOf,
    densityOf,
    makeId,
  }: {
    readonly cupIdOf: (materialId: string) => string;
    readonly densityOf: (materialId: string) => number;
    readonly makeId: () => string;
  },
): Plan {
  const stacks: PlanStack[] = [];
  const paths: PlanPath[] = [];
  for (const mark of marks) {
    const { areaMm2, middle } = seenOf(mark, grid);
    if (areaMm2 <= 0) continue;
    const massG = Math.max(0.1, (areaMm2 * filmMm * densityOf(mark.materialId)) / 1000);
    const layer = { id: makeId(), cupId: cupIdOf(mark.materialId), massG };
    if (mark.kind === 'stroke' || mark.kind === 'petal') {
      const place = (share: number) => {
        const [x, y] = mark.points[Math.round(share * (mark.points.length - 1))]!;
        return { x, y };
      };
      const [start, half, end] = [place(0), place(0.5), place(1)];
      // The curve passes its middle when the control lies twice as far off as the chord.
      const control = { x: 2 * half.x - (start.x + end.x) / 2, y: 2 * half.y - (start.y + end.y) / 2 };
      paths.push({ id: makeId(), kind: 'line', start, control, end, layers: [layer] });
    } else {
      const footprintMm = Math.max(LEAST_FOOTPRINT_MM, 2 * Math.sqrt(areaMm2 / Math.PI));
      stacks.push({ id: makeId(), at: middle, footprintMm, layers: [layer] });
    }
  }
  return { ...EMPTY_PLAN, stacks, paths };
}

/** How much of the face a mark covers, and the middle of it. */
function seenOf(mark: SketchMark, grid: SketchGrid): { areaMm2: number; middle: { x: number; y: number } } {
  const { width, pxPerMm } = grid;
  let [count, x, y] = [0, 0, 0];
  markMask(mark, grid).forEach((on, at) => {
    if (!on) return;
    count += 1;
    x += (at % width) + 0.5;
    y += Math.floor(at / width) + 0.5;
  });
  const middle = count === 0 ? { x: 0, y: 0 } : { x: x / count / pxPerMm, y: y / count / pxPerMm };
  return { areaMm2: count / pxPerMm ** 2, middle };
}
