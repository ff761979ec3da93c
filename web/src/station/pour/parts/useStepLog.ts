import { airTool } from '@icy-ribbon/core/flow/air';
import { shapeOfStep, type RunStep } from '@icy-ribbon/core/piece/event';
import { useEquipment } from '../../../store/equipment.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { usePourWrites } from '../../../store/piece/pourWrites.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import { blowerNow } from './passDraft.ts';

const within = (share: number) => Math.min(1, Math.max(0, share));

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
    const stepId = step.id;
    switch (step.kind) {
      case 'lay':
      case 'relay': {
        const shape = shapeOfStep(plan.body, step, store.piece!.support);
        const more = step.kind === 'relay' ? { stepId, shape, moment: 'add' as const } : { stepId, shape };
        writes.layDown(step.paintId, mg, more);
        break;
      }
      case 'scrape':
        writes.record('scrape', { note: '', mark: step.mark, stepId });
        break;
      case 'lift':
        writes.record('lift', { note: step.way === 'cup' ? 'turned over' : 'poured in rings', stepId });
        break;
      case 'pass':
        blow(step);
        break;
      case 'torch':
        writes.record('torch', { seconds: null, stepId });
        break;
      case 'run-off':
        writes.record('tilt', { directionDeg: 180, seconds: step.seconds, stepId });
        break;
      case 'spin':
        writes.record('spin', { rpm: step.rpm, seconds: step.seconds, way: step.way, stepId });
        break;
      default:
        writes.record('step', { stepId, outcome: 'done', note: words });
    }
  }

  function blow({ id: stepId, pass }: Extract<RunStep, { kind: 'pass' }>): void {
    const { tool, distanceMm, slantDeg, directionDeg, seconds, at, end, way } = pass;
    const { widthMm, heightMm } = store.piece!.support;
    const setting = pass.setting || airTool(tool).settings[0];
    const own = equipment.blowers.find(({ id }) => id === pass.blowerId);
    writes.logPass({
      ...{ tool, setting, distanceMm, slantDeg, directionDeg, seconds, stepId },
      ...(end && { end: { ...end, setting: end.setting || setting } }),
      ...(way && { way }),
      blower: own ? blowerNow(own) : null,
      from: { x: within(at.x / widthMm), y: within(at.y / heightMm) },
    });
  }

  return { log };
}
