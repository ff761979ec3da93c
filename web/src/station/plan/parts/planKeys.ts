import type { Shortcut } from '#shortcut/shortcuts.ts';
import type { Placing } from './placing.ts';
import type { PlanAction } from './usePlanEditing.ts';

export type PlanPanel = 'check' | 'item' | 'ground' | 'order' | 'air';

/** What the keys of Plan do. */
export interface PlanDoings {
  lay(): void;
  putInTheMiddle(kind: Placing): void;
  stepThrough(by: number): void;
  /** Millimeters to the right and down. */
  nudge(dx: number, dy: number): void;
  act(name: PlanAction): void;
  undo(): void;
  redo(): void;
  zoomBy(factor: number): void;
  fitAll(): void;
  letGo(): void;
  show(panel: PlanPanel): void;
  goPour(): void;
}

const STEP_MM = 5;
const FINE_MM = 1;
const ZOOM_STEP = 1.4;

/** The keys of Plan. */
export function planKeys(plan: PlanDoings): Shortcut[] {
  const key = (keys: string | string[], shown: string, does: string, run: Shortcut['run']): Shortcut => ({
    keys: [keys].flat(),
    shown,
    does,
    run,
  });
  const arrow = (name: string, dx: number, dy: number) =>
    key(
      name,
      name.replace('Arrow', ''),
      `Move what is chosen ${STEP_MM}\u00a0mm (with Shift ${FINE_MM}\u00a0mm)`,
      (event) => {
        const by = event.shiftKey ? FINE_MM : STEP_MM;
        plan.nudge(dx * by, dy * by);
      },
    );
  return [
    key('l', 'L', 'Lay the ready layout out', plan.lay),
    key('s', 'S', 'A stack in the middle', () => plan.putInTheMiddle('stack')),
    key('k', 'K', 'A ribbon in the middle', () => plan.putInTheMiddle('ribbon')),
    key('b', 'B', 'A blowing pass in the middle', () => plan.putInTheMiddle('pass')),
    key('n', 'N', 'Choose the next one', () => plan.stepThrough(1)),
    key('p', 'P', 'Choose the one before', () => plan.stepThrough(-1)),
    arrow('ArrowLeft', -1, 0),
    arrow('ArrowRight', 1, 0),
    arrow('ArrowUp', 0, -1),
    arrow('ArrowDown', 0, 1),
    key('h', 'H', 'Line up in a row', () => plan.act('row')),
    key('v', 'V', 'Line up in a column', () => plan.act('column')),
    key('d', 'D', 'Duplicate what is chosen', () => plan.act('duplicate')),
    key('m', 'M', 'Mirror left to right', () => plan.act('left-right')),
    key(['Delete', 'Backspace'], 'Delete', 'Take away what is chosen', () => plan.act('remove')),
    key('u', 'U', 'Undo', plan.undo),
    key('y', 'Y', 'Redo', plan.redo),
    key(['+', '='], '+', 'Closer', () => plan.zoomBy(ZOOM_STEP)),
    key('-', '−', 'Further', () => plan.zoomBy(1 / ZOOM_STEP)),
    key('0', '0', 'The whole support', plan.fitAll),
    key('Escape', 'Escape', 'Let go of what is chosen', plan.letGo),
    key('c', 'C', 'The check', () => plan.show('check')),
    key('i', 'I', 'What is chosen, in numbers', () => plan.show('item')),
    key('e', 'E', 'The base and what amounts reckon with', () => plan.show('ground')),
    key('o', 'O', 'The order', () => plan.show('order')),
    key('a', 'A', 'The air', () => plan.show('air')),
    key('g', 'G', 'Go and pour it', plan.goPour),
  ];
}
