import { gaussian, type Random } from '@icy-ribbon/core/random';

export interface Cell {
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
}

/** Cells of scattered sizes (log-normal) thrown where `accepts` allows, none touching another. */
export function scatterCells(
  wanted: number,
  medianMm: number,
  widthMm: number,
  heightMm: number,
  accepts: (x: number, y: number, radiusMm: number) => boolean,
  random: Random,
): CellGrid {
  const grid = new CellGrid(widthMm, Math.max(2, medianMm * 3));
  for (let tries = 0; tries < wanted * 12 && grid.count < wanted; tries += 1) {
    const radiusMm = (medianMm / 2) * Math.exp(0.38 * gaussian(random));
    const cell = { x: random() * widthMm, y: random() * heightMm, radiusMm };
    if (accepts(cell.x, cell.y, radiusMm) && grid.isFree(cell)) grid.add(cell);
  }
  return grid;
}

/** Finds the cell around a point without looking at all of them. */
export class CellGrid {
  readonly #squares = new Map<number, Cell[]>();
  readonly #columns: number;
  readonly #sizeMm: number;
  readonly radii: number[] = [];

  constructor(widthMm: number, sizeMm: number) {
    this.#sizeMm = sizeMm;
    this.#columns = Math.ceil(widthMm / sizeMm) + 2;
  }

  get count(): number {
    return this.radii.length;
  }

  add(cell: Cell): void {
    const key = this.#key(cell.x, cell.y);
    const square = this.#squares.get(key);
    if (square) square.push(cell);
    else this.#squares.set(key, [cell]);
    this.radii.push(cell.radiusMm);
  }

  isFree(cell: Cell): boolean {
    let free = true;
    this.#visitNear(cell.x, cell.y, (other) => {
      const gap = Math.hypot(other.x - cell.x, other.y - cell.y) - other.radiusMm - cell.radiusMm;
      if (gap < 0.5) free = false;
    });
    return free;
  }

  /** How far inside the nearest cell's edge a point lies, in millimeters; negative outside all. */
  depth(x: number, y: number): { depthMm: number; cell: Cell | undefined } {
    let depthMm = -1e9;
    let cell: Cell | undefined;
    this.#visitNear(x, y, (each) => {
      const inside = each.radiusMm - Math.sqrt((each.x - x) ** 2 + (each.y - y) ** 2);
      if (inside > depthMm) {
        depthMm = inside;
        cell = each;
      }
    });
    return { depthMm, cell };
  }

  #key(x: number, y: number): number {
    return Math.floor(y / this.#sizeMm) * this.#columns + Math.floor(x / this.#sizeMm);
  }

  #visitNear(x: number, y: number, visit: (cell: Cell) => void): void {
    const key = this.#key(x, y);
    for (let row = -1; row <= 1; row += 1) {
      for (let column = -1; column <= 1; column += 1) {
        this.#squares.get(key + row * this.#columns + column)?.forEach(visit);
      }
    }
  }
}
