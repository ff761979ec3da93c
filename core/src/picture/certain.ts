import type { Cell } from './cells.ts';

/** Of so many that are surely cells, their size says something. */
export const LEAST_CERTAIN = 10;
const SURE = 0.8;
const LIKELY = 0.5;

/** Log odds (common practice, no published source): an activator opens cells by itself, bands hardly ever leave round spots. */
const LAID = 1;
const NOTHING_LAID = -1.5;
const IN_A_NET = 3;
const BESIDE_OTHERS = 0.6;
const MOST_OTHERS = 8;
const ROUND = 8;
/** How round a spot is that says nothing either way, and how large; larger ones are pieces of bands. */
const SO_ROUND = 0.85;
const SO_LARGE_MM = 8;
const LARGE = -0.6;

/** Others count as neighbors up to so many widths of a cell away, at least and at most so far, mm. */
const WIDTHS = 4;
const [NEAR_MM, FAR_MM] = [8, 16];

/** The cells among what was found, and whether there are enough of them to speak of a size. */
export interface CertainCells {
  readonly cells: readonly Cell[];
  readonly isSized: boolean;
}

/**
 * What was found round may be a cell or a scrap of a band: judged by what was laid, what lies around it, how round and
 * large it is and whether it stands among others.
 *
 * @param activator its label; -1 where none was laid
 */
export function certainCells(found: readonly Cell[], activator: number): CertainCells {
  const chances = chancesOf(found, activator);
  return {
    cells: found.filter((_, index) => chances[index]! >= LIKELY),
    isSized: chances.filter((chance) => chance >= SURE).length >= LEAST_CERTAIN,
  };
}

/** How likely each is a cell, 0 to 1. */
export function chancesOf(found: readonly Cell[], activator: number): number[] {
  const others = neighborCounts(found);
  return found.map((cell, index) => {
    const inNet = activator >= 0 && (cell.around === activator || cell.label === activator);
    const odds =
      (activator < 0 ? NOTHING_LAID : LAID) +
      (inNet ? IN_A_NET : 0) +
      BESIDE_OTHERS * Math.min(MOST_OTHERS, others[index]!) +
      ROUND * (roundness(cell.outlineMm) - SO_ROUND) +
      LARGE * Math.max(0, cell.diameterMm - SO_LARGE_MM);
    return 1 / (1 + Math.exp(-odds));
  });
}

/** 1 for a circle: how little the outline's distance from the middle differs. */
function roundness(outlineMm: readonly number[]): number {
  const mean = outlineMm.reduce((sum, each) => sum + each, 0) / outlineMm.length;
  const spread = Math.sqrt(outlineMm.reduce((sum, each) => sum + (each - mean) ** 2, 0) / outlineMm.length);
  return mean > 0 ? Math.max(0, 1 - spread / mean) : 0;
}

/** How many others lie near each. */
function neighborCounts(found: readonly Cell[]): number[] {
  const side = NEAR_MM;
  const grid = new Map<string, number[]>();
  const place = ({ xMm, yMm }: Cell) => [Math.floor(xMm / side), Math.floor(yMm / side)] as const;
  found.forEach((cell, index) => {
    const key = place(cell).join();
    grid.set(key, [...(grid.get(key) ?? []), index]);
  });
  return found.map((cell, index) => {
    const reach = Math.min(FAR_MM, Math.max(NEAR_MM, WIDTHS * cell.diameterMm));
    const steps = Math.ceil(reach / side);
    const [column, row] = place(cell);
    let count = 0;
    for (let y = row - steps; y <= row + steps; y += 1) {
      for (let x = column - steps; x <= column + steps; x += 1) {
        for (const other of grid.get(`${x},${y}`) ?? []) {
          const near = Math.hypot(found[other]!.xMm - cell.xMm, found[other]!.yMm - cell.yMm) <= reach;
          if (other !== index && near) count += 1;
        }
      }
    }
    return count;
  });
}
