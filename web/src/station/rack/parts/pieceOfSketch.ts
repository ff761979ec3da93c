import type { Piece, PlannedCup } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { sketchPlan, type Sketch, type SketchGrid } from '@icy-ribbon/core/piece/sketch';
import { call } from '#api/client.ts';
import type { useNewFrom } from './useNewFrom.ts';

/**
 * A sketch as a piece of its own on the same support, with its plan; the other stays as its parent.
 *
 * @param recipeId what its cups are mixed by
 * @returns the id of the new piece
 */
export async function pieceOfSketch(
  parent: Piece,
  sketch: Pick<Sketch, 'marks' | 'filmMm'>,
  grid: SketchGrid,
  {
    recipeId,
    densityOf,
    start,
  }: {
    readonly recipeId: string;
    readonly densityOf: (materialId: string) => number;
    readonly start: ReturnType<typeof useNewFrom>['start'];
  },
): Promise<string> {
  const names = new Map(sketch.marks.map(({ materialId, name }) => [materialId, name]));
  const planned = [...names].map(([materialId, name]): PlannedCup => ({
    ...{ id: crypto.randomUUID(), name, role: 'color', recipeId, materialId },
    ...{ variant: null, blend: null },
  }));
  const idOf = new Map(planned.map(({ id, materialId }) => [materialId, id]));
  const plan = sketchPlan(sketch, grid, {
    cupIdOf: (materialId) => idOf.get(materialId)!,
    densityOf,
    makeId: () => crypto.randomUUID(),
  });
  const { id: pieceId } = await start(parent, {
    name: `${parent.name}, altered`,
    technique: parent.technique,
    how: 'alter',
  });
  const body = { ...plan, planned, ticked: [], version: 0 };
  await call(api.plans.put, { params: { pieceId }, body: body as never });
  return pieceId;
}
