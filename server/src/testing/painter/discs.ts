import type { Field } from '../../standin/camera/noise.ts';

/** A round spot of paint. */
export interface Disc {
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
  /** Number of its color; -1 is the activator. */
  readonly color: number;
  /** How far its outline strays, as a share of the radius. */
  readonly wobble: number;
  readonly phase: number;
}

/** Many discs, found again by place without looking at all of them. */
export class DiscGrid {
  readonly discs: Disc[] = [];
  readonly #squares = new Map<number, number[]>();
  readonly #columns: number;
  readonly #sizeMm: number;
  #largest = 0;

  constructor(widthMm: number, sizeMm: number) {
    this.#sizeMm = sizeMm;
    this.#columns = Math.ceil(widthMm / sizeMm) + 1000;
  }

  add(disc: Disc): void {
    const key = this.#key(Math.floor(disc.x / this.#sizeMm), Math.floor(disc.y / this.#sizeMm));
    const square = this.#squares.get(key);
    if (square) square.push(this.discs.length);
    else this.#squares.set(key, [this.discs.length]);
    this.discs.push(disc);
    this.#largest = Math.max(this.#largest, disc.radiusMm);
  }

  /** Whether a disc here keeps this gap to all others, one excepted. */
  isFree(x: number, y: number, radiusMm: number, gapMm: number, except = -1): boolean {
    const steps = Math.ceil((radiusMm + this.#largest + gapMm) / this.#sizeMm);
    const column = Math.floor(x / this.#sizeMm);
    const row = Math.floor(y / this.#sizeMm);
    for (let down = -steps; down <= steps; down += 1) {
      for (let right = -steps; right <= steps; right += 1) {
        for (const index of this.#squares.get(this.#key(column + right, row + down)) ?? []) {
          const disc = this.discs[index]!;
          const least = radiusMm + disc.radiusMm + gapMm;
          if (index !== except && (disc.x - x) ** 2 + (disc.y - y) ** 2 < least * least) return false;
        }
      }
    }
    return true;
  }

  /** The disc whose edge is nearest, how deep inside it the point lies, and how much nearer it is than the next one. */
  between(x: number, y: number): { index: number; depth: number; gap: number } {
    let index = -1;
    let least = Infinity;
    let second = Infinity;
    const column = Math.floor(x / this.#sizeMm);
    const row = Math.floor(y / this.#sizeMm);
    for (let down = -2; down <= 2; down += 1) {
      for (let right = -2; right <= 2; right += 1) {
        const square = this.#squares.get(this.#key(column + right, row + down));
        if (!square) continue;
        for (const each of square) {
          const disc = this.discs[each]!;
          const far = Math.sqrt((disc.x - x) ** 2 + (disc.y - y) ** 2) - disc.radiusMm;
          if (far < least) {
            second = least;
            least = far;
            index = each;
          } else if (far < second) {
            second = far;
          }
        }
      }
    }
    return { index, depth: -least, gap: second - least };
  }

  /** The disc that holds a point, its outline pushed about by a field; -1 in none. */
  holding(x: number, y: number, field: Field): number {
    const column = Math.floor(x / this.#sizeMm);
    const row = Math.floor(y / this.#sizeMm);
    let best = -1;
    let deepest = 0;
    for (let down = -1; down <= 1; down += 1) {
      for (let right = -1; right <= 1; right += 1) {
        const square = this.#squares.get(this.#key(column + right, row + down));
        if (!square) continue;
        for (const each of square) {
          const disc = this.discs[each]!;
          const dx = x - disc.x;
          const dy = y - disc.y;
          const reach = disc.radiusMm * (1 + disc.wobble);
          const squared = dx * dx + dy * dy;
          if (squared > reach * reach) continue;
          const angle = Math.atan2(dy, dx);
          const edge =
            disc.radiusMm * (1 + disc.wobble * Math.sin(2 * angle + disc.phase + field(disc.x, disc.y)));
          const deep = edge - Math.sqrt(squared);
          if (deep > deepest) {
            deepest = deep;
            best = each;
          }
        }
      }
    }
    return best;
  }

  #key(column: number, row: number): number {
    return (row + 500) * this.#columns + column + 500;
  }
}
