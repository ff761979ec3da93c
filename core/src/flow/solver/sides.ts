import { GRAVITY_MS2 } from '../film/level.ts';
import { rimHoldsMm } from '../film/rim.ts';
import type { FilmDrive, FilmFields } from './film.ts';
import { MARGIN, repeatRim, type FilmGrid } from './grid.ts';

/** The sides of a support: what ran over each edge of a cell at its rim, hangs there and drips off below. */
export interface Sides {
  /** How deep they are, m. */
  readonly depthM: number;
  /** Thickest film that the rim holds without running over, m. */
  readonly holdsM: number;
  readonly edges: readonly RimEdge[];
  /** Paint that hangs at each edge, by layer, over its width, m2: `edge * layers + layer`. */
  readonly hung: Float64Array;
  /** How far down each edge's paint has come, m. */
  readonly reach: Float64Array;
  /** What the film had lost, m3, when it was looked at last. */
  readonly seenLost: Float64Array;
}

/** An edge of a cell where the support ends. */
interface RimEdge {
  readonly cell: number;
  readonly face: number;
  readonly direction: 0 | 1;
  /** 1 to the right or downward, -1 to the left or upward. */
  readonly way: number;
}

/** A rim is wet over once so much hangs there, m2: 0.1 mm on a millimeter. From then on nothing holds the paint back. */
const WET_M2 = 1e-7;
/** Paint that has run over begins with this much of the side, m; a support without sides has as much. */
const FIRST_M = 1e-3;
/** The surface falls over the rim within about a capillary length, m (sqrt(0.03 / (1100 g)): typical paint, an estimate). */
const FALLS_WITHIN_M = 1.67e-3;
/** The film at the lower end of what hangs is so many times its mean: it grows like the square root of the way down (Jeffreys 1930). */
const AT_THE_END = 1.5;

/** Sides with nothing on them. */
export function freshSides(
  { grid, density, lost }: Pick<FilmFields, 'grid' | 'density' | 'lost'>,
  depthM: number,
): Sides {
  const edges = edgesOf(grid);
  return {
    depthM: Math.max(2 * FIRST_M, depthM),
    holdsM: rimHoldsMm(density[0]!) / 1000,
    edges,
    hung: new Float64Array(edges.length * density.length),
    reach: new Float64Array(edges.length).fill(FIRST_M),
    seenLost: lost.slice(),
  };
}

function edgesOf({ rim, stride }: FilmGrid): RimEdge[] {
  return ([0, 1] as const).flatMap((direction) => {
    const { index, way } = rim.faces[direction];
    const off = direction === 0 ? 1 : stride;
    return Array.from(index, (face, k) => ({
      ...{ face, direction, way: way[k]! },
      cell: way[k]! > 0 ? face - off : face,
    })).filter((edge) => edge.way !== 0);
  });
}

/**
 * What happened at the rim in a step: what was driven over it hangs down the sides; where paint hangs, or stands higher than the rim holds, its
 * weight pulls more after it; what hangs runs down and drips.
 *
 * Law: over the rim the film flows down its own surface's slope, layers on each other as everywhere (Newtonian); on the side a film of fixed volume
 * runs down like Huppert 1982 (flow down a slope, x^3 = 9/4 A^2 g t / nu) and, once it has come to the lower edge, drains like Jeffreys 1930 (both from
 * memory). Paint that a spinning support flings off faster than it falls does not hang (an assumption).
 */
export function runOver(sides: Sides, fields: FilmFields, seconds: number, drive: FilmDrive): void {
  const { edges, hung, reach, seenLost, depthM } = sides;
  const { grid, thickness, viscosity, density, lost } = fields;
  const layers = thickness.length;
  const { cellM } = grid;
  takeDriven(sides, fields, seconds);
  const above = new Float64Array(layers);
  const down = drive.gravity;
  edges.forEach((edge, k) => {
    let [deep, heavy, hangs] = [0, 0, 0];
    for (let layer = 0; layer < layers; layer += 1) {
      const h = thickness[layer]![edge.cell]!;
      deep += h;
      heavy += h * density[layer]!;
      hangs += hung[k * layers + layer]!;
    }
    const isWet = hangs > WET_M2;
    if (isWet || deep > sides.holdsM) {
      const left = isWet ? (AT_THE_END * hangs) / reach[k]! : sides.holdsM;
      if (deep > left) {
        pullOver(k, edge, ((heavy / deep) * down * (deep - left)) / Math.max(cellM / 2, FALLS_WITHIN_M));
      }
    }
    if (isFlung(edge)) {
      for (let layer = 0; layer < layers; layer += 1) hung[k * layers + layer] = 0;
    } else if (isWet) runDown(k, hangs);
  });
  for (let layer = 0; layer < layers; layer += 1) seenLost[layer] = lost[layer]!;
  for (const field of thickness) repeatRim(grid.rim, field);

  /** Draws the layers of a cell over the rim by a pressure that falls so much a meter, Pa/m. */
  function pullOver(k: number, { cell }: RimEdge, fall: number): void {
    let over = 0;
    for (let layer = layers - 1; layer >= 0; layer -= 1) {
      above[layer] = over;
      over += thickness[layer]![cell]!;
    }
    let carried = 0;
    for (let layer = 0; layer < layers; layer += 1) {
      const h = thickness[layer]![cell]!;
      const q = (fall * h) / viscosity[layer]!;
      const speed = carried + q * (above[layer]! / 2 + h / 3);
      carried += q * (above[layer]! + h / 2);
      const gone = h * (1 - Math.exp((-speed * seconds) / cellM));
      thickness[layer]![cell] = h - gone;
      lost[layer]! += gone * cellM ** 2;
      hung[k * layers + layer]! += gone * cellM;
    }
  }

  /** What hangs comes further down, or drips. */
  function runDown(k: number, hangs: number): void {
    let [thickLn, heavy] = [0, 0];
    for (let layer = 0; layer < layers; layer += 1) {
      const share = hung[k * layers + layer]! / hangs;
      thickLn += share * Math.log(viscosity[layer]!);
      heavy += share * density[layer]!;
    }
    const fall = (heavy * down) / Math.exp(thickLn);
    if (reach[k]! < depthM) {
      reach[k] = Math.min(depthM, Math.cbrt(reach[k]! ** 3 + 2.25 * fall * hangs ** 2 * seconds));
      return;
    }
    const drains = ((AT_THE_END ** 3 / 3) * fall) / depthM ** 3;
    const kept = 1 / Math.sqrt(1 + 2 * drains * hangs ** 2 * seconds);
    for (let layer = 0; layer < layers; layer += 1) hung[k * layers + layer]! *= kept;
  }

  function isFlung({ cell }: RimEdge): boolean {
    if (drive.turning === 0) return false;
    const x = ((cell % grid.stride) - MARGIN + 0.5) * cellM - drive.turningX;
    const y = (Math.floor(cell / grid.stride) - MARGIN + 0.5) * cellM - drive.turningY;
    return drive.turning ** 2 * Math.hypot(x, y) > GRAVITY_MS2;
  }
}

/** Hangs up what the step itself drove over the rim: shared out by the speeds there, all of what was lost. */
function takeDriven({ edges, hung, seenLost }: Sides, fields: FilmFields, seconds: number): void {
  const { grid, thickness, velocity, lost } = fields;
  const layers = thickness.length;
  for (let layer = 0; layer < layers; layer += 1) {
    const driven = lost[layer]! - seenLost[layer]!;
    if (!(driven > 0)) continue;
    const flow = ({ cell, face, direction, way }: RimEdge) =>
      Math.max(0, way * velocity[direction][layer]![face]!) * thickness[layer]![cell]! * seconds;
    const all = edges.reduce((sum, edge) => sum + flow(edge), 0) * grid.cellM;
    if (all <= 0) continue;
    edges.forEach((edge, k) => (hung[k * layers + layer]! += (flow(edge) * driven) / all));
  }
}

/** What hangs at the sides now, m3. */
export const hungM3 = ({ hung }: Sides, { cellM }: FilmGrid): number =>
  hung.reduce((sum, each) => sum + each, 0) * cellM;

/** Share of the rim's length over which paint has run. */
export function wetShare({ edges, hung }: Sides): number {
  const layers = hung.length / Math.max(1, edges.length);
  const wet = edges.filter((_, k) => {
    let sum = 0;
    for (let layer = 0; layer < layers; layer += 1) sum += hung[k * layers + layer]!;
    return sum > WET_M2;
  });
  return wet.length / Math.max(1, edges.length);
}
