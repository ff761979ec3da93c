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
  return sorted.map((bead, index) => {
    const share = shares[index] ?? 0;
    return {
      id: bead.id,
      x: toX(share),
      tailFrom: toX(share - (NINE_IN_TEN * bead.spreadLn) / SPAN),
      tailTo: toX(share + (NINE_IN_TEN * bead.spreadLn) / SPAN),
      beyond: share < 0 ? 'thick' : share > 1 ? 'thin' : null,
      labelX: labelX[index] ?? 0,
    };
  });
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

/** The ribbon's middle line and half-height at a share of its length: it thins and flows to the right. */
export function ribbonAt(share: number, middle: number): { y: number; half: number } {
  return {
    y: middle + 5 * Math.sin(share * Math.PI * 2.2 + 0.4) * (0.4 + 0.6 * share),
    half: 5 + 21 * (1 - share) ** 1.4,
  };
}

/** The ribbon's outline as an SVG path. */
export function ribbonPath(width: number, middle: number): string {
  const steps = 60;
  const points = Array.from({ length: steps + 1 }, (_, step) => {
    const share = step / steps;
    return { x: share * width, ...ribbonAt(share, middle) };
  });
  const upper = points.map(({ x, y, half }) => `${x.toFixed(1)} ${(y - half).toFixed(1)}`);
  const lower = points.map(({ x, y, half }) => `${x.toFixed(1)} ${(y + half).toFixed(1)}`).reverse();
  return `M${[...upper, ...lower].join('L')}Z`;
}
