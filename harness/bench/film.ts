import { bloomOf, breatheOut } from '../../core/testing/benchFilm.ts';
import { compiledFilmFromFile } from '../../core/testing/compiledFilm.ts';
import {
  advance,
  LEVEL,
  plainFilm,
  spun,
  startle,
  tilted,
  type MakeKernel,
} from '@icy-ribbon/core/flow/solver';

/** Milliseconds that one second of paint takes, three breaths of a bloom in, and the time of one step. */
function paceOf(make: MakeKernel, cells: number, breaths: number) {
  const bloom = bloomOf(make, cells);
  const { clock, kernel } = bloom;
  const timed = (seconds: number, work: () => void) => {
    const [steps, began] = [clock.steps, performance.now()];
    work();
    const ms = performance.now() - began;
    return { perSecond: ms / seconds, perStep: ms / (clock.steps - steps) };
  };
  const blown = Array.from({ length: breaths }, (_, index) =>
    timed(1, () => breatheOut(bloom, (index * 154) % 360)),
  );
  const others = (
    [
      ['rest', LEVEL],
      ['tilt', tilted(4, 180)],
      ['spin', { ...LEVEL, ...spun(40, 100, 100) }],
    ] as const
  ).map(([name, drive]) => {
    startle(clock);
    advance(kernel, clock, 1, drive);
    return [name, timed(4, () => advance(kernel, clock, 4, drive)).perSecond] as const;
  });
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
  return {
    blow: mean(blown.map(({ perSecond }) => perSecond)),
    step: mean(blown.map(({ perStep }) => perStep)),
    others,
  };
}

/** How fast the film of a bloom of seven layers moves, compiled against plain, in one run. */
export function filmTable(): string {
  const lines = ['The film, seven layers: ms for a second of paint'];
  for (const cells of [128, 192]) {
    const plain = paceOf(plainFilm, cells, 1);
    const compiled = paceOf(compiledFilmFromFile, cells, 3);
    const others = compiled.others.map(([name, ms]) => `${name} ${(1000 / ms).toFixed(1)} times real time`);
    lines.push(
      `${cells} x ${cells}: blown ${compiled.blow.toFixed(0)} ms compiled, ${plain.blow.toFixed(0)} plain;` +
        ` a step ${compiled.step.toFixed(1)} and ${plain.step.toFixed(1)} ms, ratio ${(plain.step / compiled.step).toFixed(1)}; ${others.join(', ')}`,
    );
  }
  return `${lines.join('\n')}\n`;
}
