import { InputError, requirePositive } from '../../base/error/index.ts';

/** Resin lines spread to about double their width (common practice, no published source). */
const SPREADS = 2;
/** A resin line stands about so high to its width (an assumption). */
const HEIGHT_SHARE = 0.25;
const LINE_DENSITY = 1.1;

/**
 * How wide a resin line is drawn for the width it shall have, and how much resin it takes.
 *
 * Law: drawn at half; cross section of half an ellipse, pi/4 x width x height. Common practice, no published source.
 *
 * @throws InputError naming the field
 * @example resinLine({ wantedMm: 4, lengthMm: 1000 }) // { drawMm: 2, gapMm: 4, ml: 3.14, g: 3.46 }
 */
export function resinLine({ wantedMm, lengthMm }: { readonly wantedMm: number; readonly lengthMm: number }) {
  requirePositive('wantedMm', wantedMm, 'The width');
  requirePositive('lengthMm', lengthMm, 'The length');
  const ml = ((Math.PI / 4) * wantedMm * (HEIGHT_SHARE * wantedMm) * lengthMm) / 1000;
  return { drawMm: wantedMm / SPREADS, gapMm: wantedMm, ml, g: ml * LINE_DENSITY };
}

/** A straight line across the face, mm from its top left. */
export interface StraightLine {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly widthMm: number;
}

/** Wet lines keep at least this far from each other's tape, mm (an assumption). */
const APART_MM = 12;

/**
 * The order in which straight lines are taped and painted, so that no two wet ones touch: rounds of lines that keep apart,
 * each round after the one before is dry.
 *
 * @returns the numbers of the lines, round by round
 * @throws InputError when a line has no length or width
 */
export function lineRounds(lines: readonly StraightLine[]): number[][] {
  lines.forEach(({ from, to, widthMm }, index) => {
    requirePositive(`lines.${index}.widthMm`, widthMm, 'The width of a line');
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) === 0) {
      throw new InputError(`lines.${index}`, 'A line begins and ends at different places.');
    }
  });
  const rounds: number[][] = [];
  lines.forEach((line, index) => {
    const round = rounds.find((each) =>
      each.every(
        (other) => distance(line, lines[other]!) >= APART_MM + (line.widthMm + lines[other]!.widthMm) / 2,
      ),
    );
    if (round) round.push(index);
    else rounds.push([index]);
  });
  return rounds;
}

type Place = readonly [number, number];

/** Between two stretches: 0 where they cross. */
function distance(a: StraightLine, b: StraightLine): number {
  if (cross(a, b)) return 0;
  return Math.min(toStretch(a.from, b), toStretch(a.to, b), toStretch(b.from, a), toStretch(b.to, a));
}

const side = (a: Place, b: Place, p: Place) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

function cross(a: StraightLine, b: StraightLine): boolean {
  const apart = (line: StraightLine, other: StraightLine) =>
    side(line.from, line.to, other.from) * side(line.from, line.to, other.to) > 0;
  if (apart(a, b) || apart(b, a)) return false;
  const touches = (axis: 0 | 1) =>
    Math.max(a.from[axis], a.to[axis]) >= Math.min(b.from[axis], b.to[axis]) &&
    Math.max(b.from[axis], b.to[axis]) >= Math.min(a.from[axis], a.to[axis]);
  return touches(0) && touches(1);
}

function toStretch(p: Place, { from, to }: StraightLine): number {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const share = Math.min(
    1,
    Math.max(0, ((p[0] - from[0]) * dx + (p[1] - from[1]) * dy) / (dx * dx + dy * dy)),
  );
  return Math.hypot(p[0] - from[0] - share * dx, p[1] - from[1] - share * dy);
}
