/** Connected patches of one label each (edges, not corners, connect). */
export interface Components {
  readonly count: number;
  /** Number of the patch of every pixel. */
  readonly of: Int32Array;
  /** Label of each patch. */
  readonly label: Uint8Array;
  /** Pixels in each patch. */
  readonly area: Int32Array;
}

/** Finds all patches of all labels in one pass over the picture, and a second that numbers them. */
export function componentsOf(labels: Uint8Array, width: number, height: number): Components {
  const of = new Int32Array(width * height);
  const parent: number[] = [];
  const rootOf = (start: number): number => {
    let root = start;
    while (parent[root] !== root) {
      parent[root] = parent[parent[root]!]!;
      root = parent[root]!;
    }
    return root;
  };
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      const label = labels[pixel]!;
      const left = x > 0 && labels[pixel - 1] === label ? of[pixel - 1]! : -1;
      const up = y > 0 && labels[pixel - width] === label ? of[pixel - width]! : -1;
      if (left < 0 && up < 0) {
        of[pixel] = parent.length;
        parent.push(parent.length);
      } else if (left >= 0 && up >= 0 && left !== up) {
        const a = rootOf(left);
        const b = rootOf(up);
        const low = a < b ? a : b;
        parent[a] = low;
        parent[b] = low;
        of[pixel] = low;
      } else {
        of[pixel] = left >= 0 ? left : up;
      }
    }
  }
  const numbers = new Int32Array(parent.length).fill(-1);
  let count = 0;
  for (let id = 0; id < parent.length; id += 1) {
    const root = rootOf(id);
    if (numbers[root]! < 0) {
      numbers[root] = count;
      count += 1;
    }
    numbers[id] = numbers[root]!;
  }
  const label = new Uint8Array(count);
  const area = new Int32Array(count);
  for (let pixel = 0; pixel < of.length; pixel += 1) {
    const number = numbers[of[pixel]!]!;
    of[pixel] = number;
    label[number] = labels[pixel]!;
    area[number]! += 1;
  }
  return { count, of, label, area };
}

/**
 * Gives patches smaller than this to the label that surrounds most of their edge, in place.
 *
 * @returns how many pixels changed their label
 */
export function despeckle(
  labels: Uint8Array,
  width: number,
  height: number,
  leastPx: number,
  labelCount: number,
): number {
  const patches = componentsOf(labels, width, height);
  const around = new Map<number, Int32Array>();
  const touch = (patch: number, label: number) => {
    if (patches.area[patch]! >= leastPx) return;
    let counts = around.get(patch);
    if (!counts) around.set(patch, (counts = new Int32Array(labelCount)));
    counts[label]! += 1;
  };
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      for (const other of [x < width - 1 ? pixel + 1 : -1, y < height - 1 ? pixel + width : -1]) {
        if (other < 0 || patches.of[pixel] === patches.of[other]) continue;
        touch(patches.of[pixel]!, labels[other]!);
        touch(patches.of[other]!, labels[pixel]!);
      }
    }
  }
  const becomes = new Map<number, number>();
  for (const [patch, counts] of around) becomes.set(patch, counts.indexOf(Math.max(...counts)));
  let changed = 0;
  for (let pixel = 0; pixel < labels.length; pixel += 1) {
    const label = becomes.get(patches.of[pixel]!);
    if (label === undefined) continue;
    labels[pixel] = label;
    changed += 1;
  }
  return changed;
}
