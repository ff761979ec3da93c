import { labDifference } from '../paint/color/index.ts';
import { leastSquares } from '../base/statistics/index.ts';
import type { Cell } from './cells.ts';
import type { Measured } from './measure.ts';
import { linearRgb } from '../paint/color/oklab.ts';
import { quantile } from './quantile.ts';

export interface WetDry {
  /** Cells found in both photos. */
  readonly matched: number;
  /** Mean change of a matched cell's diameter, mm, and its standard error. */
  readonly driftMm: number;
  readonly driftErrorMm: number;
  /** How far cells moved, beyond what the photos' corners were off, mm: the middle one of all. */
  readonly movedMm: number;
  /** Cells where the wet photo shows another color, and where the dry one does: not merely cells it did not count. */
  readonly opened: number;
  readonly closed: number;
  /** What both photos' colors were held against: the gray card, or the base where a photo shows no card. */
  readonly against: 'card' | 'base';
  /** Change of each color, dE2000; below 1.5 no change is seen. */
  readonly shifts: readonly {
    readonly name: string;
    readonly wetHex: string;
    readonly dryHex: string;
    readonly dE: number;
    readonly isSeen: boolean;
  }[];
}

const NO_CHANGE = 1.5;
const FIRST_REACH_MM = 3;
const LAST_REACH_MM = 0.8;
const ROUNDS = 4;
/** A cell this wide is seen if it is there. */
const SURE_PX = 8;
const LEAST_PAIRS = 8;

/**
 * What drying did: the dry photo is laid over the wet one by the cells themselves (corners are never exact), and
 * cells are compared one by one, which tells a drift of hundredths of a millimeter where medians would not.
 */
export function wetDry(wet: Measured, dry: Measured): WetDry {
  const place = register(wet.cells.list, dry.cells.list);
  const back = register(dry.cells.list, wet.cells.list);
  const pairs = pairUp(wet.cells.list, dry.cells.list, place, LAST_REACH_MM);
  const drifts = pairs.map(({ wet: before, dry: after }) => after.diameterMm - before.diameterMm);
  const mean = drifts.length > 0 ? drifts.reduce((sum, each) => sum + each, 0) / drifts.length : 0;
  const spread = Math.sqrt(
    drifts.reduce((sum, each) => sum + (each - mean) ** 2, 0) / Math.max(1, drifts.length - 1),
  );
  const matched = new Set(pairs.flatMap((pair) => [pair.wet, pair.dry]));
  const moves = pairs.map(({ off }) => off).sort((a, b) => a - b);
  return {
    matched: pairs.length,
    driftMm: mean,
    driftErrorMm: pairs.length > 1 ? spread / Math.sqrt(pairs.length) : 0,
    movedMm: quantile(moves, 0.5),
    opened: countIn(dry, wet, back),
    closed: countIn(wet, dry, place),
    ...shiftsOf(wet, dry),
  };

  /** Cells of one photo, large enough to be sure of, that the other does not show. */
  function countIn(one: Measured, other: Measured, to: Place): number {
    const leastMm = SURE_PX / Math.min(one.picture.pxPerMm, other.picture.pxPerMm);
    return one.cells.list.filter(
      (cell) => cell.diameterMm >= leastMm && !matched.has(cell) && !shows(other, to, cell),
    ).length;
  }
}

type Place = (x: number, y: number) => readonly [number, number];

/** Whether a photo shows a cell's color where the cell lies, whatever it made of the place. */
function shows({ picture }: Measured, place: Place, { xMm, yMm, label }: Cell): boolean {
  const [x, y] = place(xMm, yMm).map((mm) => Math.round(mm * picture.pxPerMm)) as [number, number];
  if (x < 0 || y < 0 || x >= picture.width || y >= picture.height) return false;
  return picture.labels[y * picture.width + x] === label;
}

/** An affine map from the wet face onto the dry one, fitted to cells that lie close and are alike. */
function register(wet: readonly Cell[], dry: readonly Cell[]): Place {
  let place: Place = (x, y) => [x, y];
  for (let round = 0; round < ROUNDS; round += 1) {
    const reach = FIRST_REACH_MM + ((LAST_REACH_MM - FIRST_REACH_MM) * round) / (ROUNDS - 1);
    const pairs = pairUp(wet, dry, place, reach);
    if (pairs.length < LEAST_PAIRS) break;
    const rows = pairs.map(({ wet: { xMm, yMm } }) => [1, xMm, yMm]);
    const toX = leastSquares(
      rows,
      pairs.map(({ dry: { xMm } }) => xMm),
    ).coefficients;
    const toY = leastSquares(
      rows,
      pairs.map(({ dry: { yMm } }) => yMm),
    ).coefficients;
    place = (x, y) => [toX[0]! + toX[1]! * x + toX[2]! * y, toY[0]! + toY[1]! * x + toY[2]! * y];
  }
  return place;
}

/** Each wet cell with the nearest dry one of its color, each dry one used once, the nearest pairs first. */
function pairUp(wet: readonly Cell[], dry: readonly Cell[], place: Place, reachMm: number) {
  const squares = new Map<string, Cell[]>();
  const key = (x: number, y: number) => `${Math.floor(x / reachMm)} ${Math.floor(y / reachMm)}`;
  for (const cell of dry) {
    const at = key(cell.xMm, cell.yMm);
    squares.set(at, [...(squares.get(at) ?? []), cell]);
  }
  const candidates: { wet: Cell; dry: Cell; off: number }[] = [];
  for (const cell of wet) {
    const [x, y] = place(cell.xMm, cell.yMm);
    for (const dx of [-1, 0, 1]) {
      for (const dy of [-1, 0, 1]) {
        for (const other of squares.get(key(x + dx * reachMm, y + dy * reachMm)) ?? []) {
          const off = Math.hypot(other.xMm - x, other.yMm - y);
          const alike = Math.abs(Math.log(other.diameterMm / cell.diameterMm)) < 0.5;
          if (off < reachMm && alike && other.label === cell.label)
            candidates.push({ wet: cell, dry: other, off });
        }
      }
    }
  }
  const used = new Set<Cell>();
  return candidates
    .sort((a, b) => a.off - b.off)
    .filter((pair) => {
      if (used.has(pair.wet) || used.has(pair.dry)) return false;
      used.add(pair.wet).add(pair.dry);
      return true;
    });
}

/**
 * Two photos are never exposed alike: colors are compared after their gray cards have been made equally bright. The
 * light that was found is brought to the palette's level, which would hide a change of all colors; the card tells it.
 * Without cards the bases are made equally bright.
 */
function shiftsOf(wet: Measured, dry: Measured): Pick<WetDry, 'against' | 'shifts'> {
  const brightness = (hex: string) => linearRgb(hex).reduce((sum, value) => sum + value, 0);
  const baseOf = ({ palette, base }: Measured) =>
    Math.max(1e-4, brightness(palette.find(({ name }) => name === base)?.hex ?? '#808080'));
  const against = wet.cardLevel !== null && dry.cardLevel !== null ? 'card' : 'base';
  const level =
    against === 'card' ? wet.cardLevel! / Math.max(1e-4, dry.cardLevel!) : baseOf(wet) / baseOf(dry);
  const shifts = wet.palette.flatMap((color) => {
    const dried = dry.palette.find((each) => each.name === color.name);
    if (!dried) return [];
    const dE = labDifference(labOf(color.hex, 1), labOf(dried.hex, level));
    return [{ name: color.name, wetHex: color.hex, dryHex: dried.hex, dE, isSeen: dE >= NO_CHANGE }];
  });
  return { against, shifts };
}

/** CIE L*a*b* (D65) of a color made brighter by a factor. */
function labOf(hex: string, level: number): [number, number, number] {
  const [r, g, b] = linearRgb(hex).map((value) => value * level) as [number, number, number];
  const f = (value: number) => (value > 216 / 24389 ? Math.cbrt(value) : ((24389 / 27) * value + 16) / 116);
  const x = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = f(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = f((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}
