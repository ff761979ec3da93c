import { between } from '../solver/carry.ts';
import type { SheetCells } from '../solver/cells.ts';
import type { FilmFields } from '../solver/film.ts';
import { MARGIN } from '../solver/grid.ts';
import { seenByLayer } from '../solver/measure.ts';
import { netAt, type Net } from './net.ts';
import { pictureNoise } from './picture.ts';
import { packSeeds } from './seeds.ts';

/** What a picture of a sheet would show. */
export interface CellsSeen {
  /** Share of the face on which the sheet is seen, its holes taken out. */
  readonly sheetShare: number;
  /** Diameter of every hole as a disc of its area, mm, ascending. */
  readonly diametersMm: readonly number[];
}

/** Holes are looked at so finely, m: a tenth of a square millimeter. */
const PITCH_M = 4e-4;
/** Less of a sheet than this in a cell is not seen. */
const SEEN = 0.02;

/** The holes of a sheet as its picture draws them, by the picture's own net, without drawing it. */
export function cellsSeen(fields: FilmFields, cells: SheetCells): CellsSeen {
  const { grid, thickness } = fields;
  const { columns, rows, cellM, stride } = grid;
  const [wide, high] = [columns * cellM, rows * cellM];
  const seeds = packSeeds(
    cells.seeds.filter(({ isOpen }) => isOpen),
    wide,
    high,
  );
  const look = { seeds, netM: cells.settings.netM };
  const sheet = thickness[cells.layer]!;
  const seen = seenByLayer(grid, thickness)[cells.layer]!;
  const noise = pictureNoise();
  const net: Net = { hole: 0, relief: 0, ring: 0, core: 0 };
  const holes = new Float64Array(cells.seeds.length);
  const parts = Math.max(1, Math.round(cellM / PITCH_M));
  const pitch = cellM / parts;
  let [left, inside] = [0, 0];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const cell = (row + MARGIN) * stride + column + MARGIN;
      if (!grid.rim.inside[cell]) continue;
      inside += 1;
      const share = seen[cell]!;
      if (share < SEEN) continue;
      for (let part = 0; part < parts * parts; part += 1) {
        const across = (part % parts) + 0.5;
        const down = Math.floor(part / parts) + 0.5;
        const [x, y] = [column * cellM + across * pitch, row * cellM + down * pitch];
        const h = between(sheet, stride, x / cellM - 0.5 + MARGIN, y / cellM - 0.5 + MARGIN);
        const hole = netAt(look, noise, x, y, h, pitch, net) ? net.hole : 0;
        left += (share * (1 - hole)) / parts ** 2;
        if (hole > 0) holes[net.seed!]! += hole * share;
      }
    }
  }
  const diametersMm = Array.from(holes)
    .filter((area) => area > 0)
    .map((area) => 2000 * pitch * Math.sqrt(area / Math.PI))
    .sort((a, b) => a - b);
  return { sheetShare: left / Math.max(1, inside), diametersMm };
}
