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
  /** Ends of the tail: one standard deviation to either side. */
  readonly tailFrom: number;
  readonly tailTo: number;
  readonly beyond: 'thick' | 'thin' | null;
  readonly labelX: number;
  readonly labelRow: number;
}

export interface RibbonFrame {
  readonly width: number;
  readonly margin: number;
  readonly rows: number;
  readonly charWidth: number;
}

/**
 * Places beads and their labels along a ribbon of so many pixels. Labels that would overlap move to the
 * next row, and sideways when all rows are taken.
 */
export function placeBeads(beads: readonly BeadInput[], frame: RibbonFrame): PlacedBead[] {
  const inner = frame.width - 2 * frame.margin;
  const toX = (share: number) => frame.margin + Math.min(1, Math.max(0, share)) * inner;
  const rowEnds = Array.from({ length: frame.rows }, () => -Infinity);
  return [...beads]
    .sort((a, b) => b.viscosityPaS - a.viscosityPaS)
    .map((bead) => {
      const share = alongRibbon(bead.viscosityPaS);
      const x = toX(share);
      const half = (bead.name.length * frame.charWidth) / 2;
      const free = rowEnds.findIndex((end) => x - half > end + 6);
      const labelRow = free >= 0 ? free : rowEnds.indexOf(Math.min(...rowEnds));
      const wanted = free >= 0 ? x : (rowEnds[labelRow] ?? 0) + half + 6;
      const labelX = Math.min(frame.width - half - 2, Math.max(half + 2, wanted));
      rowEnds[labelRow] = labelX + half;
      return {
        id: bead.id,
        x,
        tailFrom: toX(share - bead.spreadLn / SPAN),
        tailTo: toX(share + bead.spreadLn / SPAN),
        beyond: share < 0 ? 'thick' : share > 1 ? 'thin' : null,
        labelX,
        labelRow,
      };
    });
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
