import { settingsOf } from '../../flow/air/index.ts';
import { airPassOf, type Plan } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { EventData, EventKind, PassData } from './event.ts';
import type { RunStep } from './runSheet.ts';
import { shapeOfStep } from './stepShape.ts';

type StepKind = Extract<EventKind, 'layer' | 'scrape' | 'lift' | 'pass' | 'torch' | 'tilt' | 'spin' | 'step'>;

/** What a step of the run sheet is logged as. */
export type LoggedStep = {
  [Kind in StepKind]: { readonly kind: Kind; readonly data: EventData[Kind] };
}[StepKind];

export interface StepDone {
  readonly plan: Plan;
  readonly support: SupportSize;
  /** What went on, of a layer; whole milligrams. */
  readonly mg: number;
  /** What the step says. */
  readonly words: string;
  /** A blower of the shelf as it is now, by its id. */
  readonly blower: (id: string) => PassData['blower'];
}

const within = (share: number): number => Math.min(1, Math.max(0, share));

/** What is logged of a step of the run sheet that was done as it was planned. */
export function eventOfStep(step: RunStep, { plan, support, mg, words, blower }: StepDone): LoggedStep {
  const stepId = step.id;
  switch (step.kind) {
    case 'lay':
    case 'relay': {
      const laid = { cupId: step.cupId, mg, stepId, shape: shapeOfStep(plan, step, support) };
      return { kind: 'layer', data: step.kind === 'relay' ? { ...laid, moment: 'add' } : laid };
    }
    case 'scrape':
      return { kind: 'scrape', data: { note: '', mark: step.mark, stepId } };
    case 'lift':
      return {
        kind: 'lift',
        data: { note: step.way === 'cup' ? 'turned over' : 'poured in rings', stepId },
      };
    case 'pass': {
      const { at, blowerId } = step.pass;
      const { end, ...air } = airPassOf(step.pass);
      const setting = air.setting || settingsOf(air.tool)[0]!;
      return {
        kind: 'pass',
        data: {
          ...{ ...air, setting, stepId },
          ...(end && { end: { ...end, setting: end.setting || setting } }),
          blower: blowerId === null ? null : blower(blowerId),
          from: { x: within(at.x / support.widthMm), y: within(at.y / support.heightMm) },
        },
      };
    }
    case 'torch':
      return { kind: 'torch', data: { seconds: null, stepId } };
    case 'run-off':
      return { kind: 'tilt', data: { directionDeg: 180, seconds: step.seconds, stepId } };
    case 'spin':
      return { kind: 'spin', data: { rpm: step.rpm, seconds: step.seconds, way: step.way, stepId } };
    default:
      return { kind: 'step', data: { stepId, outcome: 'done', note: words } };
  }
}
