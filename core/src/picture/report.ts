import type { Measured } from './measure.ts';

/** Masks are kept no finer than this. */
const MASK_PX_PER_MM = 3;
const MASK_LONGEST_PX = 1000;

export interface DetailReport {
  readonly cells: number[][];
  readonly masks: {
    readonly widthPx: number;
    readonly heightPx: number;
    readonly net: number[];
    readonly mud: number[];
    readonly glare: number[];
  };
}

/** The numbers of a measurement without its pictures. */
export function numbersOf(measured: Measured) {
  const { count, medianMm, p10Mm, p90Mm, perCm2, leastMm, from } = measured.cells;
  return {
    shares: { ...measured.shares },
    negativeSpace: measured.negativeSpace,
    mud: measured.mud,
    cells: { count, medianMm, p10Mm, p90Mm, perCm2, leastMm, from: from.map((each) => ({ ...each })) },
    lacing: { ...measured.lacing },
    petals: { ...measured.petals, edges: { ...measured.petals.edges } },
    warnings: measured.warnings.map((warning) => ({ ...warning })),
  };
}

/** What an overlay draws, small enough to keep: cells with their outlines, masks as runs. */
export function detailOf(measured: Measured): DetailReport {
  const { picture } = measured;
  const mudLabel = measured.palette.length;
  const wanted = Math.min(
    MASK_PX_PER_MM,
    (MASK_LONGEST_PX * picture.pxPerMm) / Math.max(picture.width, picture.height),
  );
  const step = Math.max(1, Math.ceil(picture.pxPerMm / wanted));
  const widthPx = Math.floor(picture.width / step);
  const heightPx = Math.floor(picture.height / step);
  const runs = (isOn: (pixel: number) => boolean) => runsOf(widthPx, heightPx, step, picture.width, isOn);
  return {
    cells: measured.cells.list.map((cell) => [
      cell.xMm,
      cell.yMm,
      Math.round(cell.diameterMm * 1000) / 1000,
      cell.label,
      cell.around,
      ...cell.outlineMm.map((radius) => Math.round(radius * 100) / 100),
    ]),
    masks: {
      widthPx,
      heightPx,
      net: runs((pixel) => picture.net[pixel] === 1),
      mud: runs((pixel) => picture.labels[pixel] === mudLabel),
      glare: runs((pixel) => picture.glare[pixel] === 1),
    },
  };
}

/** Lengths of stretches off and on in turn, the first one off, over a picture made smaller by picking pixels. */
function runsOf(
  width: number,
  height: number,
  step: number,
  fullWidth: number,
  isOn: (pixel: number) => boolean,
): number[] {
  const runs: number[] = [];
  let on = false;
  let length = 0;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const now = isOn((y * step + (step >> 1)) * fullWidth + x * step + (step >> 1));
      if (now === on) {
        length += 1;
        continue;
      }
      runs.push(length);
      on = now;
      length = 1;
    }
  }
  runs.push(length);
  return runs;
}

/** Fills a mask from its runs. */
export function maskOfRuns(runs: readonly number[], length: number): Uint8Array {
  const mask = new Uint8Array(length);
  let at = 0;
  runs.forEach((run, index) => {
    if (index % 2 === 1) mask.fill(1, at, at + run);
    at += run;
  });
  return mask;
}
