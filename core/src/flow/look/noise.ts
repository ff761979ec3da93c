import { seededRandom } from '../../base/random/index.ts';

/** Edge of the table, and of the coarsest squares in it. */
export const TABLE = 512;
const SQUARES = 32;
const OCTAVES = 3;

/**
 * Four tiles of smooth noise, -1 to 1, side by side in one table (four numbers a place): what makes edges uneven and paint marbled. The
 * picture on the page draws with the same table.
 */
export function noiseTable(): Float32Array {
  const table = new Float32Array(4 * TABLE * TABLE);
  const loudness = Array.from({ length: OCTAVES }, (_, octave) => 0.5 ** octave);
  const all = loudness.reduce((sum, each) => sum + each, 0);
  for (let channel = 0; channel < 4; channel += 1) {
    for (let octave = 0; octave < OCTAVES; octave += 1) {
      const squares = SQUARES * 2 ** octave;
      const random = seededRandom(97 * channel + octave + 5);
      const knots = Float32Array.from({ length: squares * squares }, () => 2 * random() - 1);
      for (let y = 0; y < TABLE; y += 1) {
        for (let x = 0; x < TABLE; x += 1) {
          table[4 * (y * TABLE + x) + channel]! +=
            (loudness[octave]! / all) *
            1.6 *
            knotted(knots, squares, (x * squares) / TABLE, (y * squares) / TABLE);
        }
      }
    }
  }
  return table;
}

const ease = (t: number): number => t * t * (3 - 2 * t);

function knotted(knots: Float32Array, squares: number, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const [u, v] = [ease(x - left), ease(y - top)];
  const [right, below] = [(left + 1) % squares, (top + 1) % squares];
  const [upper, lower] = [top * squares, below * squares];
  return (
    (1 - v) * ((1 - u) * knots[upper + left]! + u * knots[upper + right]!) +
    v * ((1 - u) * knots[lower + left]! + u * knots[lower + right]!)
  );
}

/** The noise at a place counted in its coarsest squares; `kind` picks a tile and shifts it. */
export function noiseAt(table: Float32Array, x: number, y: number, kind: number): number {
  const channel = kind & 3;
  const u = ((x + kind * 7.31) * TABLE) / SQUARES;
  const v = ((y + kind * 3.77) * TABLE) / SQUARES;
  const [left, top] = [Math.floor(u), Math.floor(v)];
  const [right, down] = [u - left, v - top];
  const at = (column: number, row: number) =>
    table[4 * ((row & (TABLE - 1)) * TABLE + (column & (TABLE - 1))) + channel]!;
  return (
    (1 - down) * ((1 - right) * at(left, top) + right * at(left + 1, top)) +
    down * ((1 - right) * at(left, top + 1) + right * at(left + 1, top + 1))
  );
}
