import type { CellSettings, MakeKernel } from '../../flow/solver/index.ts';
import { NO_PUSH, pushOn, startRehearsal, type Push, type Rehearsal } from './rehearsal.ts';
import type { Scene } from './scene.ts';
import { USUAL_UNKNOWNS, type FilmUnknowns } from './stage.ts';
import { airOf } from './stroke.ts';

/** Between two passes, after the last, and the length of one push of air, s. */
const BREATHING_S = 0.4;
const SETTLE_S = 6;
const PART_S = 0.1;
/** Paint runs so long before the first pass, s. */
const BEFORE_S = 1;
/** Paint that is left to stand longer than this hardly moves any more, s (assumption). */
const MOST_WAIT_S = 20;

const waitOf = ({ waitSeconds }: Pick<Scene, 'waitSeconds'>): number => Math.min(MOST_WAIT_S, waitSeconds);

/** Seconds of paint that a whole rehearsal moves through. */
export const wholeSeconds = ({ strokes, spin, waitSeconds }: Scene): number =>
  BEFORE_S +
  waitOf({ waitSeconds }) +
  SETTLE_S +
  (spin?.seconds ?? 0) +
  strokes.reduce((sum, { seconds }) => sum + seconds + BREATHING_S, 0);

/** What wants to know how a whole rehearsal goes. */
export interface WholeWatch {
  /** Told the share that is done. */
  readonly onProgress?: ((share: number) => void) | undefined;
  /** Told once, as soon as the paint lies. */
  readonly onBegin?: ((rehearsal: Rehearsal) => void) | undefined;
  /** Told before the first pass and after each. */
  readonly afterPass?: (() => void) | undefined;
  /** Other ways in which the sheet might open, looked at on the way. */
  readonly otherCells?: readonly CellSettings[] | undefined;
}

/** Rehearses a scene from the first pass to the last, the wait for its cells, its spin, and some rest. */
export function rehearseWhole(
  scene: Scene,
  cells: number,
  makeKernel: MakeKernel,
  unknowns: FilmUnknowns = USUAL_UNKNOWNS,
  { onProgress, onBegin, afterPass, otherCells }: WholeWatch = {},
): Rehearsal {
  const rehearsal = startRehearsal(scene, cells, makeKernel, unknowns, otherCells);
  onBegin?.(rehearsal);
  const all = wholeSeconds(scene);
  const move = (seconds: number, push: Push) => {
    pushOn(rehearsal, seconds, push);
    onProgress?.(Math.min(1, rehearsal.film.clock.seconds / all));
  };
  move(BEFORE_S, NO_PUSH);
  afterPass?.();
  for (const stroke of scene.strokes) {
    const parts = Math.max(1, Math.round(stroke.seconds / PART_S));
    for (let part = 0; part < parts; part += 1) {
      move(stroke.seconds / parts, { ...NO_PUSH, air: airOf(stroke, (part + 0.5) / parts) });
    }
    move(BREATHING_S, NO_PUSH);
    afterPass?.();
  }
  move(waitOf(scene), NO_PUSH);
  if (scene.spin) {
    const { widthMm, heightMm } = scene.support;
    move(scene.spin.seconds, {
      ...NO_PUSH,
      spin: { rpm: scene.spin.rpm, at: { x: widthMm / 2, y: heightMm / 2 } },
    });
  }
  move(SETTLE_S, NO_PUSH);
  return rehearsal;
}
