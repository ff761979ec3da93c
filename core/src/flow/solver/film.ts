import type { FilmGrid } from './grid.ts';

export interface FilmLayer {
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}

/** What pushes the whole film. */
export interface FilmDrive {
  /** Weight across the face, m/s2 (g cos of the tilt). */
  readonly gravity: number;
  /** Weight along the face to the right and downward, m/s2. */
  readonly alongX: number;
  readonly alongY: number;
  /** Turning, rad/s, about a point of the face, m. */
  readonly turning: number;
  readonly turningX: number;
  readonly turningY: number;
  /** Whether the air of `FilmFields` blows. */
  readonly isBlown: boolean;
}

/** Rows and columns (margins counted) between which a layer has paint; none when `right < left`. */
export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Every field of a film: thickness and what one step works out of it. All of `grid.length`, SI units. */
export interface FilmFields {
  readonly grid: FilmGrid;
  readonly viscosity: Float64Array;
  readonly density: Float64Array;
  /** 1 / stress at which paint runs twice as fast, 1/Pa; 0 for paint that does not thin when sheared. */
  readonly thinning: number;
  /** Paint thinner than this, m, does not run onto a bare face; 0 where it does. */
  readonly pinM: number;
  /** Whether edges of color stay as sharp as they were laid. */
  readonly isCrisp: boolean;
  /** Thickness of each layer from the support up, m. */
  readonly thickness: readonly Float64Array[];
  readonly smooth: readonly Float64Array[];
  /** Mean velocity of each layer on the faces across and down, m/s, and what a unit of surface slope adds. */
  readonly velocity: readonly [readonly Float64Array[], readonly Float64Array[]];
  readonly response: readonly [readonly Float64Array[], readonly Float64Array[]];
  /** Sums over the layers on faces: flow, m2/s, and its response. */
  readonly flow: readonly [Float64Array, Float64Array];
  readonly mobility: readonly [Float64Array, Float64Array];
  /** Rise of the surface in a step, m: after the sweep across and after the one down. */
  readonly rise: readonly [Float64Array, Float64Array];
  readonly scratch: Float64Array;
  /** Volume that crosses a face in a step over the cell's area, m. */
  readonly flux: readonly [Float64Array, Float64Array];
  /** Pressure of the air and its shear to the right and downward, Pa. */
  readonly airPressure: Float64Array;
  readonly airShear: readonly [Float64Array, Float64Array];
  /** Rows of a pass over the layers: one buffer of `grid.stride` for each name and layer. */
  readonly rows: Float64Array;
  readonly boxes: readonly Box[];
  /** Volume that dripped off, m3, by layer. */
  readonly lost: Float64Array;
}

/** Buffers of a row that the pass over the layers needs: ten shared ones and five for each layer. */
export const sharedRows = 10;
export const rowsPerLayer = 5;

/** What kind of paint it is, and how it is drawn. */
export interface FilmNature {
  readonly tauHalfPa: number | null;
  readonly isCrisp: boolean;
  readonly pinM?: number;
}

/** Takes the next field of a given length from wherever the fields are kept. */
export type TakeField = (length: number) => Float64Array;

/**
 * The fields of a film without paint.
 *
 * @param take where they are kept: plain memory, or that of the compiled kernels
 */
export function filmFields(
  grid: FilmGrid,
  layers: readonly FilmLayer[],
  given: FilmNature,
  take: TakeField = (length) => new Float64Array(length),
): FilmFields {
  const field = () => take(grid.length);
  const each = () => layers.map(field);
  const scalars = (values: readonly number[]) => {
    const array = take(layers.length);
    array.set(values);
    return array;
  };
  return {
    grid,
    viscosity: scalars(layers.map(({ viscosityPaS }) => viscosityPaS)),
    density: scalars(layers.map(({ densityKgM3 }) => densityKgM3)),
    thinning: given.tauHalfPa === null ? 0 : 1 / given.tauHalfPa,
    pinM: given.pinM ?? 0,
    isCrisp: given.isCrisp,
    thickness: each(),
    smooth: each(),
    velocity: [each(), each()],
    response: [each(), each()],
    flow: [field(), field()],
    mobility: [field(), field()],
    rise: [field(), field()],
    scratch: field(),
    flux: [field(), field()],
    airPressure: field(),
    airShear: [field(), field()],
    rows: take(grid.stride * (sharedRows + rowsPerLayer * layers.length)),
    boxes: layers.map(() => ({ left: 1, right: 0, top: 1, bottom: 0 })),
    lost: scalars(layers.map(() => 0)),
  };
}
