import { eventOfStep, type RunStep } from '@icy-ribbon/core/piece/event';
import { useEquipment } from '#store/equipment.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { usePlan } from '#store/plan/plan.ts';
import { blowerNow } from './passDraft.ts';

/** Logs steps of the run sheet as they were planned. */
export function useStepLog() {
  const store = usePiece();
  const writes = usePourWrites();
  const plan = usePlan();
  const equipment = useEquipment();

  /**
   * @param mg what went on, of a layer; @param words what the step says
   * @throws ApiProblem with the field when it cannot have happened
   */
  function log(step: RunStep, mg: number, words: string): void {
    const { kind, data } = eventOfStep(step, {
      ...{ plan: plan.body, support: store.piece!.support, mg, words },
      blower: (id) => {
        const own = equipment.blowers.find((each) => each.id === id);
        return own ? blowerNow(own) : null;
      },
    });
    writes.record(kind, data);
  }

  return { log };
}
