import { filmFields, type FilmLayer, type FilmNature } from './film.ts';
import type { FilmGrid, RimFaces } from './grid.ts';
import type { FilmKernel } from './plainKernel.ts';

/** What core/assembly/film.ts compiles to: an instance of its module, made by whoever can read the file. */
export interface FilmModule {
  readonly memory: { readonly buffer: ArrayBuffer; grow(pages: number): number };
  step(
    table: number,
    cellM: number,
    seconds: number,
    thinning: number,
    pinM: number,
    stiffness: number,
    gravity: number,
    alongX: number,
    alongY: number,
    turning: number,
    turningX: number,
    turningY: number,
    isBlown: boolean,
    acrossFirst: boolean,
  ): number;
}

const PAGE = 65_536;
/** Fields start here: below lies what the module keeps for itself. */
const START = PAGE;
/** Some bytes between fields: the kernels look two cells at a time. */
const GAP = 32;

/**
 * A film whose steps are compiled. One module holds one film: make another instance for another.
 */
export function compiledFilm(
  module: FilmModule,
  grid: FilmGrid,
  layers: readonly FilmLayer[],
  given: FilmNature,
): FilmKernel {
  const lengths: number[] = [];
  filmFields(grid, layers, given, (length) => (lengths.push(length), new Float64Array(layers.length)));
  const fieldBytes = lengths.reduce((sum, length) => sum + length * 8 + GAP, 0);
  const { ghosts, sources, outside, faces } = grid.rim;
  const counts = [ghosts, sources, outside, ...faces.map(({ index }) => index)];
  const rimBytes = counts.reduce((sum, array) => sum + array.byteLength + GAP, 0) + 2 * grid.length;
  const tableBytes = 4 * (40 + 10 * layers.length) + GAP;
  const bytes = START + fieldBytes + rimBytes + tableBytes + 8 * GAP;
  const missing = Math.ceil((bytes - module.memory.buffer.byteLength) / PAGE);
  if (missing > 0) module.memory.grow(missing);

  const { buffer } = module.memory;
  let free = START;
  const take = (byteLength: number): number => {
    const address = free;
    free += Math.ceil(byteLength / 8) * 8 + GAP;
    return address;
  };
  const fields = filmFields(grid, layers, given, (length) => {
    const field = new Float64Array(buffer, take(length * 8), length);
    return field.fill(0);
  });
  const integers = (values: Int32Array): number => {
    const address = take(values.byteLength);
    new Int32Array(buffer, address, values.length).set(values);
    return address;
  };
  const boxes = take(16 * layers.length);
  const rimOf = ({ index, way }: RimFaces): number[] => {
    const ways = take(way.byteLength);
    new Int8Array(buffer, ways, way.length).set(way);
    return [integers(index), ways, index.length];
  };
  // In the order of the constants in core/assembly/film.ts.
  const table = [
    ...[grid.columns, grid.rows, grid.stride, layers.length, given.isCrisp ? 1 : 0],
    ...[fields.viscosity, fields.density, fields.lost, fields.rows, fields.scratch].map(addressOf),
    ...[...fields.flow, ...fields.mobility, ...fields.rise, ...fields.flux].map(addressOf),
    ...[fields.airPressure, ...fields.airShear].map(addressOf),
    boxes,
    ...[integers(ghosts), integers(sources), ghosts.length, integers(outside), outside.length],
    ...faces.flatMap(rimOf),
    ...[fields.thickness, fields.smooth, ...fields.velocity, ...fields.response].flatMap((each) =>
      each.map(addressOf),
    ),
  ];
  const tableAt = integers(Int32Array.from(table));
  const sides = new Int32Array(buffer, boxes, 4 * layers.length);
  const heaviest = Math.max(...fields.density);

  return {
    fields,
    step(seconds, drive, stepNumber) {
      const { gravity, alongX, alongY, turning, turningX, turningY, isBlown } = drive;
      const fastest = module.step(
        tableAt,
        grid.cellM,
        seconds,
        fields.thinning,
        fields.pinM,
        heaviest * gravity,
        gravity,
        alongX,
        alongY,
        turning,
        turningX,
        turningY,
        isBlown,
        stepNumber % 2 === 1,
      );
      fields.boxes.forEach((box, layer) => {
        [box.left, box.right, box.top, box.bottom] = [0, 1, 2, 3].map((side) => sides[4 * layer + side]!) as [
          number,
          number,
          number,
          number,
        ];
      });
      return fastest;
    },
  };
}

const addressOf = (field: Float64Array): number => field.byteOffset;
