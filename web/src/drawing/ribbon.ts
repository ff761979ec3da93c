import { NINE_IN_TEN } from '@icy-ribbon/core/base/statistics';

/** The ribbon's ends: thicker and thinner cups are drawn at the edge, with an arrow. */
export const THICKEST_PAS = 12;
export const THINNEST_PAS = 0.06;

const SPAN = Math.log(THICKEST_PAS / THINNEST_PAS);

/** Where a viscosity lies along the ribbon: 0 at the thick left end, 1 at the thin right end. */
export function alongRibbon(viscosityPaS: number): number {
  return Math.log(THICKEST_PAS / viscosityPaS) / SPAN;
}

export interface BeadInput {
  readonly id: string;
  readonly name: string;
  readonly viscosityPaS: number;
  readonly spreadLn: number;
}

export interface PlacedBead {
  readonly id: string;
  readonly x: number;
  /** Ends of the tail: the range that holds nine times in ten. */
  readonly tailFrom: number;
  readonly tailTo: number;
  readonly beyond: 'thick' | 'thin' | null;
  /** How far above (below 0) or below the ribbon's middle line it lies: beads that would hide each other are stacked. */
  readonly dy: number;
  /** Middle of the label; labels fan out sideways so that none covers another. */
  readonly labelX: number;
}

export interface RibbonFrame {
  readonly width: number;
  readonly margin: number;
  readonly charWidth: number;
}

const LABEL_GAP = 10;

/** Places beads along a ribbon of so many pixels, and their labels in one row above, in the same order. */
export function placeBeads(beads: readonly BeadInput[], frame: RibbonFrame): PlacedBead[] {
  const inner = frame.width - 2 * frame.margin;
  const toX = (share: number) => frame.margin + Math.min(1, Math.max(0, share)) * inner;
  const sorted = [...beads].sort((a, b) => b.viscosityPaS - a.viscosityPaS);
  const shares = sorted.map((bead) => alongRibbon(bead.viscosityPaS));
  const labelX = spreadApart(
    shares.map(toX),
    sorted.map((bead) => bead.name.length * frame.charWidth + LABEL_GAP),
    frame.width,
  );
  const dys = stackApart(shares.map(toX));
  return sorted.map((bead, index) => {
    const share = shares[index] ?? 0;
    return {
      id: bead.id,
      dy: dys[index] ?? 0,
      x: toX(share),
      tailFrom: toX(share - (NINE_IN_TEN * bead.spreadLn) / SPAN),
      tailTo: toX(share + (NINE_IN_TEN * bead.spreadLn) / SPAN),
      beyond: share < 0 ? 'thick' : share > 1 ? 'thin' : null,
      labelX: labelX[index] ?? 0,
    };
  });
}

/** Beads nearer than this would hide one another, px. */
const TOUCHING_PX = 16;
export const STACK_PITCH_PX = 12;

/** How far each of some beads, sorted along the ribbon, is moved up or down so that all are seen. */
function stackApart(xs: readonly number[]): number[] {
  const dys: number[] = [];
  let first = 0;
  xs.forEach((x, index) => {
    const next = xs[index + 1];
    if (next !== undefined && next - x < TOUCHING_PX) return;
    const count = index - first + 1;
    for (let at = 0; at < count; at += 1) dys.push((at - (count - 1) / 2) * STACK_PITCH_PX);
    first = index + 1;
  });
  return dys;
}

/**
 * Moves sorted middles apart until blocks of the given widths no longer overlap, each run of touching
 * blocks staying centered on what it labels, and all within 0 and `limit`.
 */
export function spreadApart(wanted: readonly number[], widths: readonly number[], limit: number): number[] {
  interface Run {
    start: number;
    width: number;
    readonly members: number[];
  }
  const settle = (run: Run): Run => {
    let offset = 0;
    let sum = 0;
    for (const index of run.members) {
      const width = widths[index] ?? 0;
      sum += (wanted[index] ?? 0) - (offset + width / 2);
      offset += width;
    }
    const start = Math.max(0, Math.min(limit - run.width, sum / run.members.length));
    return { ...run, start };
  };
  const runs: Run[] = [];
  wanted.forEach((_, index) => {
    let run = settle({ start: 0, width: widths[index] ?? 0, members: [index] });
    for (let last = runs.at(-1); last && last.start + last.width > run.start; last = runs.at(-1)) {
      runs.pop();
      run = settle({
        start: 0,
        width: last.width + run.width,
        members: [...last.members, ...run.members],
      });
    }
    runs.push(run);
  });
  const middles: number[] = [];
  for (const run of runs) {
    let offset = run.start;
    for (const index of run.members) {
      const width = widths[index] ?? 0;
      middles[index] = offset + width / 2;
      offset += width;
    }
  }
  return middles;
}

/** Its waves grow from the thick end to the thin one, px. */
const WAVE_PX = { thick: 5, thin: 9 } as const;
const WAVES = 1.35;

/** The ribbon's middle line and half-height at a share of its length: it thins and flows to the right. */
export function ribbonAt(share: number, middle: number): { y: number; half: number } {
  const wave = WAVE_PX.thick + (WAVE_PX.thin - WAVE_PX.thick) * share;
  return {
    y: middle + wave * Math.sin(2 * Math.PI * WAVES * share + 0.4),
    half: 5 + 21 * (1 - share) ** 1.4,
  };
}

/** The outline of the ribbon, or of a stretch of it, as an SVG path. */
export function ribbonPath(width: number, middle: number, from = 0, to = 1): string {
  const steps = 60;
  const points = Array.from({ length: steps + 1 }, (_, step) => {
    const share = from + ((to - from) * step) / steps;
    return { x: share * width, ...ribbonAt(share, middle) };
  });
  const upper = points.map(({ x, y, half }) => `${x.toFixed(1)} ${(y - half).toFixed(1)}`);
  const lower = points.map(({ x, y, half }) => `${x.toFixed(1)} ${(y + half).toFixed(1)}`).reverse();
  return `M${[...upper, ...lower].join('L')}Z`;
}

/** The thin end laid back over itself, as paint folds when it is poured from a height; drawn behind the ribbon. */
export function foldPath(width: number, middle: number): string {
  const { y, half } = ribbonAt(1, middle);
  const [x, low] = [width, y + half];
  return `M${x} ${y - half}C${x + 7} ${y} ${x + 6} ${low + 4} ${x - 6} ${low + 7}C${x - 22} ${low + 10} ${x - 34} ${low + 7} ${x - 48} ${low + 9}L${x - 47} ${low + 2}C${x - 34} ${low + 1} ${x - 20} ${low + 3} ${x - 8} ${low - 1}Z`;
}
