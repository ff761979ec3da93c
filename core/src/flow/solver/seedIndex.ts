/** A place of a seed. */
export interface SeedPlace {
  readonly x: number;
  readonly y: number;
}

const NONE = -1;

/** Finds seeds near a place of a face: each square of the face leads to its seeds, one to the next. */
export class SeedIndex {
  readonly #edge: number;
  readonly #across: number;
  readonly #down: number;
  readonly #first: Int32Array;
  readonly #next: Int32Array;
  readonly #x: Float64Array;
  readonly #y: Float64Array;
  #count = 0;

  /** @param most seeds that it will ever hold; @param edge of a square, as the face's `wide` and `high` */
  constructor(
    seeds: readonly SeedPlace[],
    most: number,
    edge: number,
    [wide, high]: readonly [number, number],
  ) {
    this.#edge = edge;
    this.#across = Math.max(1, Math.ceil(wide / edge));
    this.#down = Math.max(1, Math.ceil(high / edge));
    this.#first = new Int32Array(this.#across * this.#down).fill(NONE);
    this.#next = new Int32Array(most);
    this.#x = new Float64Array(most);
    this.#y = new Float64Array(most);
    for (const seed of seeds) this.add(seed);
  }

  add({ x, y }: SeedPlace): void {
    const square = this.#square(x, this.#across) + this.#square(y, this.#down) * this.#across;
    const seed = this.#count;
    this.#count += 1;
    this.#x[seed] = x;
    this.#y[seed] = y;
    this.#next[seed] = this.#first[square]!;
    this.#first[square] = seed;
  }

  hasWithin(x: number, y: number, distance: number): boolean {
    const square = distance ** 2;
    const [left, right] = [
      this.#square(x - distance, this.#across),
      this.#square(x + distance, this.#across),
    ];
    const [top, bottom] = [this.#square(y - distance, this.#down), this.#square(y + distance, this.#down)];
    for (let row = top; row <= bottom; row += 1) {
      for (let column = left; column <= right; column += 1) {
        for (let seed = this.#first[row * this.#across + column]!; seed !== NONE; seed = this.#next[seed]!) {
          const [dx, dy] = [this.#x[seed]! - x, this.#y[seed]! - y];
          if (dx * dx + dy * dy < square) return true;
        }
      }
    }
    return false;
  }

  #square(at: number, count: number): number {
    return Math.min(count - 1, Math.max(0, Math.floor(at / this.#edge)));
  }
}
