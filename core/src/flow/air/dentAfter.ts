import { levelingRate } from '../film/level.ts';

/** The jet is about so wide, both sides together, for each mm of its way (Rajaratnam 1976, from memory). */
const WIDTH_SHARE = 0.2;
const SURFACE_TENSION_NM = 0.03;

/**
 * How deep a jet has dented a film after some seconds, mm.
 *
 * Law: the dent approaches its steady depth as a ripple of twice its width levels in that film (Orchard 1962, from
 * memory): d (1 - exp(-rate t)). A thin film gives way slowly: a quick pass hardly dents it.
 *
 * @throws InputError naming the field
 */
export function dentAfter(film: {
  readonly steadyMm: number;
  readonly seconds: number;
  readonly depthMm: number;
  readonly viscosityPaS: number;
  readonly jet: {
    readonly exitDiameterMm: number;
    readonly distanceMm: number;
    readonly paintDensityKgM3: number;
  };
}): number {
  const widthMm = Math.max(film.jet.exitDiameterMm, WIDTH_SHARE * film.jet.distanceMm);
  const perS = levelingRate({
    wavelengthMm: 2 * widthMm,
    thicknessMm: film.depthMm,
    viscosityPaS: film.viscosityPaS,
    densityKgM3: film.jet.paintDensityKgM3,
    surfaceTensionNM: SURFACE_TENSION_NM,
  });
  return film.steadyMm * (1 - Math.exp(-perS * film.seconds));
}
