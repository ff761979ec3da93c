/** A place of a seed. */
export interface SeedPlace {
  readonly x: number;
  readonly y: number;
}

/** Finds seeds near a place. */
export class SeedIndex {
  readonly #buckets = new Map<number, SeedPlace[]>();
  readonly #edge: number;

  constructor(seeds: readonly SeedPlace[], edge: number) {
    this.#edge = edge;
    for (const seed of seeds) this.add(seed);
  }

  add(seed: SeedPlace): void {
    const key = this.#key(Math.floor(seed.x / this.#edge), Math.floor(seed.y / this.#edge));
    const bucket = this.#buckets.get(key);
    if (bucket) bucket.push(seed);
    else this.#buckets.set(key, [seed]);
  }

  hasWithin(x: number, y: number, distance: number): boolean {
    const reach = Math.ceil(distance / this.#edge);
    const [column, row] = [Math.floor(x / this.#edge), Math.floor(y / this.#edge)];
    for (let down = -reach; down <= reach; down += 1) {
      for (let across = -reach; across <= reach; across += 1) {
        const bucket = this.#buckets.get(this.#key(column + across, row + down));
        if (bucket?.some((seed) => (seed.x - x) ** 2 + (seed.y - y) ** 2 < distance ** 2)) return true;
      }
    }
    return false;
  }

  #key(column: number, row: number): number {
    return column * 65_536 + row;
  }
}
