import { airTool, bearingName } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import type { RunStep } from '@icy-ribbon/core/piece/event';
import type { Spreader } from '@icy-ribbon/core/piece/plan';
import type { useUnits } from '../store/units.ts';
import { airCaution } from './air.ts';

/** What the words of a step ask for: names, and grams in the unit that is chosen. */
export interface StepContext {
  readonly units: ReturnType<typeof useUnits>;
  readonly paintName: (cupId: string) => string;
  readonly itemName: (itemId: string) => string;
  readonly leftMg: (cupId: string) => number;
  /** What the torch must know of the cups. */
  readonly silicone: string;
  /** On paper cautions stand once, at the foot. */
  readonly isPrinted?: boolean;
}

export const SPREADER_LABELS: Readonly<Record<Spreader, string>> = {
  tilting: 'tilting',
  dryer: 'a cool dryer',
  knife: 'a palette knife',
  spinner: 'the spinner',
};

const capital = (text: string): string => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** The step in one sentence. */
export function stepTitle(step: RunStep, { units, paintName, itemName }: StepContext): string {
  switch (step.kind) {
    case 'level':
      return 'Level the support both ways';
    case 'lay':
      return step.way
        ? `Pour ${units.show('mass', step.mg)} ${paintName(step.cupId)} into the cup`
        : `Lay ${units.show('mass', step.mg)} ${paintName(step.cupId)}`;
    case 'relay':
      return `Lay ${units.show('mass', step.mg)} ${paintName(step.cupId)} on the place`;
    case 'spread':
      return `Spread the base with ${SPREADER_LABELS[step.by]}`;
    case 'run-off':
      return `Tilt ${step.tiltDeg}° for ${step.seconds}\u00a0s`;
    case 'blow-test':
      return 'Blow the base alone';
    case 'lift':
      return step.way === 'cup'
        ? `Turn the cup over on ${itemName(step.itemId)} and lift it`
        : `Pour the cup in rings on ${itemName(step.itemId)}`;
    case 'card':
      return 'Draw the card over the colors';
    case 'torch':
      return 'Torch the bubbles';
    case 'wait':
      return `Wait ${step.seconds}\u00a0s for ${step.forWhat}`;
    case 'pass':
      return `Pass ${step.number}: ${airTool(step.pass.tool).label.toLowerCase()} ${bearingName(step.pass.directionDeg)}`;
    case 'straw':
      return 'Break the middle with a straw';
    case 'spin':
      return `Spin ${step.of > 1 ? `${step.number} of ${step.of}` : 'it'}: ${step.rpm} turns a minute`;
    case 'tip-test':
      return 'Tip it: does the middle still move?';
    case 'skewer':
      return 'Draw the petals with a skewer';
    case 'photo':
      return 'Take a photo while it is wet';
    case 'scrape':
      return 'Scrape the place off';
    case 'wipe':
      return 'Wipe the knife and the sides';
    case 'air-again':
      return `Blow it ${bearingName(step.directionDeg)}, a new angle`;
  }
}

/** What to mind at the step. */
export function stepDetail(step: RunStep, context: StepContext): string {
  const { units, itemName, leftMg, silicone, isPrinted = false } = context;
  switch (step.kind) {
    case 'level':
      return 'A slope moves the design overnight.';
    case 'lay': {
      const where =
        step.itemId === null ? 'over the whole face' : `on ${itemName(step.itemId).toLowerCase()}`;
      return step.way
        ? `For ${itemName(step.itemId ?? '').toLowerCase()}. ${units.show('mass', leftMg(step.cupId))} in its own cup.`
        : `${capital(where)}, layer ${step.number}. ${units.show('mass', leftMg(step.cupId))} in the cup.`;
    }
    case 'relay':
      return `In its first order, layer ${step.number}. ${units.show('mass', leftMg(step.cupId))} in the cup.`;
    case 'spread':
      return 'Corners first, then toward the middle.';
    case 'run-off':
      return 'Corners first. Let the base run off until only its film stays.';
    case 'lift':
      return step.way === 'cup'
        ? 'Let it stand a moment before you lift it straight up.'
        : 'In one thin stream, wobbling, without a stop.';
    case 'torch':
      return `${silicone}${CAUTIONS.torch} ${CAUTIONS.deferral}`;
    case 'pass': {
      const { pass } = step;
      const off = pass.end
        ? `${units.show('length', pass.distanceMm)} off to ${units.show('length', pass.end.distanceMm)}`
        : `${units.show('length', pass.distanceMm)} off`;
      const setting = [pass.setting, pass.end?.setting].filter(Boolean).join(' to ');
      const way = pass.way === 'circling' ? ', head circling' : '';
      const blown = `${setting ? `${setting}, ` : ''}${off}, ${pass.slantDeg}° slant, ${pass.seconds}\u00a0s${way}.`;
      return isPrinted ? capital(blown) : `${capital(blown)} ${airCaution(pass.tool)}`;
    }
    case 'spin': {
      const way = { both: 'both ways', clockwise: 'clockwise', counterclockwise: 'counterclockwise' }[
        step.way
      ];
      return `For ${step.seconds}\u00a0s, ${way}. Center it first. Fix the board and stand clear.`;
    }
    case 'wipe':
      return 'What hangs over the edge drags the patch with it.';
    case 'scrape':
      return 'Down to the support, its rim kept clean.';
    case 'air-again':
      return 'From the neighbors over the rim of the patch.';
    default:
      return '';
  }
}
