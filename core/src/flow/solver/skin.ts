import { evaporation, USUAL_ROOM, WATER_SHARE, type WetSurface } from '../drying/evaporation.ts';
import type { FilmFields } from './film.ts';
import { forEachCell, SEEN_M, volumeM3 } from './measure.ts';

/** How far the layers of a film have dried. */
export interface Skin {
  /** Water left in each layer, as a share of its first mass. */
  readonly water: Float64Array;
  /** Viscosity of what is not water, as the law of mixing sees it, ln Pa s. */
  readonly solidLn: Float64Array;
}

/** Water at 20 °C, Pa s (standard tables, from memory). */
const WATER_PAS = 1.002e-3;
/** A layer thickens no further than this many times: then it is a skin (an assumption). */
const MOST_TIMES = 50;

/** Layers as they come out of their cups. */
export function freshSkin({ viscosity }: Pick<FilmFields, 'viscosity'>): Skin {
  return {
    water: Float64Array.from(viscosity, () => WATER_SHARE),
    solidLn: Float64Array.from(
      viscosity,
      (mu) => (Math.log(mu) - WATER_SHARE * Math.log(WATER_PAS)) / (1 - WATER_SHARE),
    ),
  };
}

/**
 * Lets water leave each layer where it lies on top, and thickens it by what it has lost.
 *
 * Law: `evaporation` over the area on which a layer is the topmost one, out of all of the layer; ln mu = (1 - w) ln mu_s + w ln mu_w (Arrhenius
 * 1887, as in `mix`). Assumptions: paint is 60 % water; a layer dries evenly, its volume stays; still air, also under a blower.
 *
 * @param first viscosity of each layer as it was laid, Pa s
 */
export function dryLayers(
  fields: FilmFields,
  skin: Skin,
  first: ArrayLike<number>,
  seconds: number,
  room: Pick<WetSurface, 'temperatureC' | 'humidityPct' | 'airMS'> = USUAL_ROOM,
): void {
  const { grid, thickness, density, viscosity } = fields;
  const areas = topmostAreas(fields);
  const { gramsPerHour } = evaporation({ areaM2: 1, waterG: 1, ...room });
  const kgPerM2 = (gramsPerHour / 3600 / 1000) * seconds;
  areas.forEach((area, layer) => {
    const kg = density[layer]! * volumeM3(grid, thickness[layer]!);
    if (area <= 0 || kg <= 0) return;
    const left = Math.max(0, skin.water[layer]! - (kgPerM2 * area) / kg);
    skin.water[layer] = left;
    const water = left / (left + 1 - WATER_SHARE);
    const mu = Math.exp((1 - water) * skin.solidLn[layer]! + water * Math.log(WATER_PAS));
    viscosity[layer] = Math.min(mu, MOST_TIMES * first[layer]!);
  });
}

/** Area on which each layer is the topmost one that can be seen, m2. */
function topmostAreas({ grid, thickness }: FilmFields): number[] {
  const areas = thickness.map(() => 0);
  forEachCell(grid, (cell) => {
    const top = thickness.findLastIndex((field) => field[cell]! > SEEN_M);
    if (top >= 0) areas[top]! += grid.cellM ** 2;
  });
  return areas;
}
