import type { PieceCreate, PlannedCup } from '@icy-ribbon/contract';
import type { Plan } from '@icy-ribbon/core/piece/plan';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { sayProblem } from '../notice/notices.ts';
import type { Cup } from './piece/piece.ts';
import { usePieces } from './pieces.ts';
import { scaledPiece } from './scaledPiece.ts';

/** A piece that is to be started from a plan. */
export interface NewPiece extends Omit<PieceCreate, 'id' | 'note' | 'origin'> {
  readonly plan: Plan;
  readonly cups: readonly Cup[];
  readonly planned: readonly PlannedCup[];
  readonly recipeIds?: ReadonlyMap<string, string>;
}

/** Starts a piece from a plan and opens it there; what goes wrong is said, and nothing is opened. */
export function useNewPiece(opened: () => void) {
  const pieces = usePieces();
  const router = useRouter();
  const busy = ref(false);
  /** Why it could not be started, for the fields. */
  const problem = ref<unknown>(null);

  async function start(ready: () => NewPiece | Promise<NewPiece>): Promise<void> {
    if (busy.value) return;
    busy.value = true;
    problem.value = null;
    try {
      const { plan, cups, planned, recipeIds, ...piece } = await ready();
      const id = await pieces.start({ ...piece, name: piece.name.slice(0, 80) });
      await scaledPiece(id, plan, cups, planned, recipeIds);
      await router.push({ name: 'plan', params: { pieceId: id } });
      opened();
    } catch (error) {
      problem.value = error;
      sayProblem(error);
    } finally {
      busy.value = false;
    }
  }

  return { busy, problem, start };
}
