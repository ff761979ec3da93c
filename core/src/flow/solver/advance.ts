import { InputError } from '../../base/error/index.ts';
import type { FilmDrive } from './film.ts';
import { backToState, keepState } from './goodState.ts';
import type { FilmKernel } from './plainKernel.ts';

/** Longest step, s, the shortest a film starts with, and how much a step may be longer than the one before. */
const LONGEST_S = 0.05;
const FIRST_S = 2e-4;
const GROWTH = 1.15;
/** A step carries paint at most this share of a cell. */
const COURANT = 0.5;

/** A failed step is retried at half its length at most this often. */
const MOST_HALVINGS = 8;

/** A film that needs shorter steps than this, s, cannot be followed. */
const SHORTEST_S = 1e-6;

/** How far a film has come. */
export interface FilmClock {
  seconds: number;
  steps: number;
  /** Length of the step before, s. */
  stepS: number;
  /** Greatest speed of the step before, m/s. */
  fastest: number;
}

/**
 * A clock before the first step.
 *
 * @example filmClock().steps // 0
 */
export const filmClock = (): FilmClock => ({ seconds: 0, steps: 0, stepS: FIRST_S / GROWTH, fastest: 0 });

/**
 * Advances a film by some seconds. A step that yields a thickness that isn't finite is undone and retried at half its length.
 * When what pushes the film changes abruptly, call `startle` on the clock first: it then starts with short steps again.
 *
 * @returns the steps it took
 * @throws InputError (field "steps") for paint that cannot be followed; the film lies then as it last did
 */
export function advance(
  kernel: FilmKernel,
  clock: FilmClock,
  seconds: number,
  drive: FilmDrive,
  onStep?: (stepS: number) => void,
): number {
  const end = clock.seconds + seconds;
  const { cellM } = kernel.fields.grid;
  let steps = 0;
  while (end - clock.seconds > 1e-9) {
    const allowed = clock.fastest > 0 ? (COURANT * cellM) / clock.fastest : LONGEST_S;
    const wanted = Math.min(LONGEST_S, allowed, clock.stepS * GROWTH);
    if (!(wanted > SHORTEST_S)) {
      throw new InputError(
        'steps',
        'This paint runs too fast to be followed: push it less, or take it thicker.',
      );
    }
    const left = end - clock.seconds;
    // The last two steps share what is left: none is a mere crumb.
    const most = wanted >= left ? left : 2 * wanted > left ? left / 2 : wanted;
    const stepS = soundStep(kernel, clock, most, drive);
    clock.stepS = stepS < most ? stepS : wanted;
    clock.seconds = stepS >= left ? end : clock.seconds + stepS;
    clock.steps += 1;
    steps += 1;
    onStep?.(stepS);
  }
  return steps;
}

/** Takes one step of at most `most` seconds that yields finite thicknesses. Returns its length, s. */
function soundStep(kernel: FilmKernel, clock: FilmClock, most: number, drive: FilmDrive): number {
  keepState(kernel.fields);
  for (let halvings = 0; halvings <= MOST_HALVINGS; halvings += 1) {
    const stepS = most / 2 ** halvings;
    const fastest = kernel.step(stepS, drive, clock.steps);
    if (Number.isFinite(fastest)) {
      clock.fastest = fastest;
      return stepS;
    }
    backToState(kernel.fields);
  }
  throw new InputError(
    'steps',
    "The film can't be computed any further; it's back where it last was. Blow more gently, or use thicker paint.",
  );
}

/** To be called when air sets in or the support is turned: the first steps are short again. */
export function startle(clock: FilmClock): void {
  clock.stepS = Math.min(clock.stepS, FIRST_S / GROWTH);
}
