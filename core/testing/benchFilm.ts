import { advance, filmClock, type FilmClock } from '../src/flow/solver/advance.ts';
import { blowOn, calm } from '../src/flow/solver/blow.ts';
import { LEVEL } from '../src/flow/solver/filmRun.ts';
import { filmGrid } from '../src/flow/solver/grid.ts';
import { layDisc, layFilm } from '../src/flow/solver/lay.ts';
import type { FilmKernel, MakeKernel } from '../src/flow/solver/plainKernel.ts';

/** A bloom of seven layers on a face of 200 mm, of `cells` cells across, at rest for a second. */
export function bloomOf(make: MakeKernel, cells: number): { kernel: FilmKernel; clock: FilmClock } {
  const grid = filmGrid({ columns: cells, rows: cells, cellM: 0.2 / cells, edge: 'open' });
  const layers = [1080, 1100, 1120, 1110, 1090, 1130, 1190].map((densityKgM3, index) => ({
    densityKgM3,
    viscosityPaS: [2.2, 1.5, 1.5, 1.5, 1.5, 1.5, 0.6][index]!,
  }));
  const kernel = make(grid, layers, { tauHalfPa: 3, isCrisp: true });
  const { thickness } = kernel.fields;
  layFilm(grid, thickness[0]!, 3.2);
  [26, 23, 20.5, 17.5, 14.5, 15].forEach((radiusMm, index) =>
    layDisc(grid, thickness[index + 1]!, {
      ...{ xMm: 100, yMm: 100, radiusMm },
      volumeMl: ([1.3, 1.1, 1.1, 1, 0.9, 0.65][index]! * Math.PI * radiusMm ** 2) / 1000,
    }),
  );
  const clock = filmClock();
  advance(kernel, clock, 1, LEVEL);
  return { kernel, clock };
}

/** A breath outward from the middle, of one second, in the bloom's direction `directionDeg`. */
export function breatheOut(
  { kernel, clock }: ReturnType<typeof bloomOf>,
  directionDeg: number,
  seconds = 1,
): void {
  const toward = (directionDeg * Math.PI) / 180;
  const parts = 8;
  for (let part = 0; part < parts; part += 1) {
    const out = 6 + (46 * part) / (parts - 1);
    blowOn(kernel.fields, {
      ...{ exitSpeedMS: 26, exitDiameterMm: 13, distanceMm: 85, slantDeg: 22, directionDeg },
      xMm: 100 + out * Math.sin(toward),
      yMm: 100 - out * Math.cos(toward),
    });
    advance(kernel, clock, seconds / parts, { ...LEVEL, isBlown: true });
  }
  calm(kernel.fields);
}
