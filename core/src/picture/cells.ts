import type { Components } from './components.ts';
import { ellipseOf, type Ellipse, type Shapes } from './shape.ts';
import { splitTouching } from './touching.ts';

/** One cell in the picture. */
export interface Cell {
  /** Middle, millimeters from the top left of the face. */
  readonly xMm: number;
  readonly yMm: number;
  /** Of the disc with the same area. */
  readonly diameterMm: number;
  /** Number of its color in the palette. */
  readonly label: number;
  /** Number of the color that surrounds it. */
  readonly around: number;
  /** Distances from the middle to the outline, clockwise from the right, evenly spaced. */
  readonly outlineMm: readonly number[];
  /** Whether it touched another one and was told apart. */
  readonly split: boolean;
}

export interface CellRules {
  readonly leastMm: number;
  readonly mostMm: number;
  readonly circularity: number;
  readonly fill: number;
  readonly aspect: number;
  readonly ring: number;
}

/** What counts as a cell. */
export const CELL_RULES: CellRules = {
  leastMm: 0.5,
  mostMm: 15,
  circularity: 0.5,
  fill: 0.82,
  aspect: 3.2,
  ring: 0.6,
};

const OUTLINE_POINTS = 20;
/** Shapes rounder and fuller than this are surely one cell. */
const SURE_FILL = 0.93;
const SURE_CIRCULARITY = 0.8;
/** Touching cells are rounder than cells need be, and nothing much is left beside them. */
const PART_FILL = 0.88;
const PART_ASPECT = 1.8;
const MOSTLY = 0.9;

export interface CellContext {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  readonly labelCount: number;
  /** Labels that never are cells: the base and mud. */
  readonly never: ReadonlySet<number>;
  readonly rules: CellRules;
  /** Whether cells that touch are to be told apart; false when the patches are known to be one each. */
  readonly split: boolean;
}

/** Finds the cells among the patches; doubtful ones are first looked at as several that touch. */
export function cellsOf(patches: Components, shapes: Shapes, context: CellContext): Cell[] {
  const { pxPerMm, rules, never } = context;
  const leastPx = (Math.PI / 4) * (rules.leastMm * pxPerMm) ** 2;
  const mostPx = (Math.PI / 4) * (rules.mostMm * pxPerMm) ** 2;
  const cells: Cell[] = [];
  for (let patch = 0; patch < patches.count; patch += 1) {
    const soft = shapes.softArea[patch]!;
    if (soft < leastPx || soft > 3 * mostPx) continue;
    const label = patches.label[patch]!;
    if (never.has(label) || shapes.cut[patch]) continue;
    const around = mostAround(shapes, patch, context.labelCount);
    if (around.share < rules.ring) continue;
    const ellipse = ellipseOf(
      patches.area[patch]!,
      shapes.sumX[patch]!,
      shapes.sumY[patch]!,
      shapes.sumXX[patch]!,
      shapes.sumXY[patch]!,
      shapes.sumYY[patch]!,
    );
    const shape = {
      area: patches.area[patch]!,
      soft,
      perimeter: shapes.perimeter[patch]!,
      ellipse,
    };
    if (context.split && !isSurelyOne(shape)) {
      const parts = splitTouching(patches, shapes, patch, context.width);
      const round = parts.filter((part) => isRound(part) && part.soft <= mostPx);
      const roundArea = round.reduce((sum, part) => sum + part.area, 0);
      if (parts.length > 1 && roundArea >= MOSTLY * patches.area[patch]!) {
        for (const part of round) {
          if (part.soft >= leastPx)
            cells.push(cellFrom(part, label, around.label, context, true, part.holds));
        }
        continue;
      }
    }
    if (soft > mostPx || !looksLikeCell(shape, rules)) continue;
    const holds = (x: number, y: number) => patches.of[y * context.width + x] === patch;
    cells.push(cellFrom(shape, label, around.label, context, false, holds));
  }
  return cells;
}

interface ShapeFacts {
  readonly area: number;
  readonly soft: number;
  readonly perimeter: number;
  readonly ellipse: Ellipse;
}

const circularityOf = ({ area, perimeter }: ShapeFacts) => (4 * Math.PI * area) / perimeter ** 2;
const fillOf = ({ area, ellipse }: ShapeFacts) => area / (Math.PI * ellipse.major * ellipse.minor);

function isSurelyOne(shape: ShapeFacts): boolean {
  return fillOf(shape) > SURE_FILL && circularityOf(shape) > SURE_CIRCULARITY;
}

function looksLikeCell(shape: ShapeFacts, rules: CellRules): boolean {
  if (fillOf(shape) < rules.fill) return false;
  if (shape.ellipse.major / shape.ellipse.minor > rules.aspect) return false;
  return circularityOf(shape) >= rules.circularity;
}

/** Whether a part of a patch could be a cell that touches others, and not a stretch of a band. */
function isRound(part: ShapeFacts): boolean {
  return fillOf(part) >= PART_FILL && part.ellipse.major / part.ellipse.minor <= PART_ASPECT;
}

function mostAround(shapes: Shapes, patch: number, labelCount: number): { label: number; share: number } {
  let total = 0;
  let most = 0;
  let label = 0;
  for (let other = 0; other < labelCount; other += 1) {
    const edges = shapes.ring[patch * labelCount + other]!;
    total += edges;
    if (edges > most) {
      most = edges;
      label = other;
    }
  }
  return { label, share: total > 0 ? most / total : 0 };
}

function cellFrom(
  shape: ShapeFacts,
  label: number,
  around: number,
  { pxPerMm, width, height }: CellContext,
  split: boolean,
  holds: (x: number, y: number) => boolean,
): Cell {
  const { x, y, major } = shape.ellipse;
  const outlineMm = Array.from({ length: OUTLINE_POINTS }, (_, index) => {
    const angle = (2 * Math.PI * index) / OUTLINE_POINTS;
    const dx = Math.cos(angle);
    const dy = Math.sin(angle);
    let radius = 0;
    for (; radius < 2.5 * major; radius += 0.5) {
      const column = Math.round(x + radius * dx);
      const row = Math.round(y + radius * dy);
      if (column < 0 || row < 0 || column >= width || row >= height || !holds(column, row)) break;
    }
    return round(radius / pxPerMm);
  });
  return {
    xMm: round((x + 0.5) / pxPerMm),
    yMm: round((y + 0.5) / pxPerMm),
    diameterMm: (2 * Math.sqrt(shape.soft / Math.PI)) / pxPerMm,
    label,
    around,
    outlineMm,
    split,
  };
}

const round = (value: number) => Math.round(value * 1000) / 1000;
