import { spunMm } from '../../flow/film/index.ts';
import type { Plan, PlanPaint } from '../plan/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { layerAmounts } from './amounts.ts';
import type { BlowerExit } from './exit.ts';
import { stackLayers } from './layers.ts';

/** All paint of a piece as if it lay evenly. */
export interface PieceFilm {
  /** Over face and sides, when the air is off, mm. */
  readonly laidMm: number;
  /** After it was spun, mm. */
  readonly afterMm: number;
  /** Of all paints stirred together. */
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}

/**
 * What a film comes to on the spinner, mm: `spin`, one turn after the other. Plan, check, record and rack all ask this.
 *
 * @throws InputError naming the field
 * @example leftMm({ thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1150 }, [{ rpm: 60, seconds: 10 }]) // 1.788
 */
export const leftMm = (
  film: { readonly thicknessMm: number; readonly viscosityPaS: number; readonly densityKgM3: number },
  spins: readonly { readonly rpm: number; readonly seconds: number }[],
): number => spins.reduce((thicknessMm, spin) => spunMm({ ...film, thicknessMm, ...spin }), film.thicknessMm);

/**
 * How thick the paint of a piece lies in all, before and after it is spun; `null` when nothing is laid.
 *
 * Law: volume less what runs off, over face and sides; then Emslie, Bonner & Peck 1958 through `spin`, with
 * the viscosity of all paints by mass (log-additive). An average: the middle lies thicker, the rim thinner.
 *
 * @throws InputError naming the field
 */
export function pieceFilm(
  support: SupportSize,
  plan: Plan,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[] = [],
): PieceFilm | null {
  const layers = layerAmounts(support, plan, paints, blowers);
  const volumeMl = layers.reduce((sum, layer) => sum + layer.volumeMl, 0);
  const massG = layers.reduce((sum, layer) => sum + layer.massG, 0);
  if (volumeMl <= 0) return null;
  const ln = layers.reduce((sum, layer) => {
    const paint = paints.find((each) => each.id === layer.cupId)!;
    return sum + layer.massG * Math.log(paint.viscosityPaS);
  }, 0);
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const { dripShare, spinRpm, spinSeconds } = plan.settings;
  const laidMm = (10 * volumeMl * (1 - dripShare)) / (faceCm2 + sidesCm2);
  const viscosityPaS = Math.exp(ln / massG);
  const densityKgM3 = (1000 * massG) / volumeMl;
  const film = { thicknessMm: laidMm, viscosityPaS, densityKgM3 };
  const afterMm = leftMm(film, [{ rpm: spinRpm, seconds: spinSeconds }]);
  return { laidMm, afterMm, viscosityPaS, densityKgM3 };
}

/**
 * Seconds on the spinner that bring a film from one thickness down to another: the law of `spin`, solved.
 *
 * @example secondsToSpin({ fromMm: 3, toMm: 1.788, viscosityPaS: 3, densityKgM3: 1150, rpm: 60 }) // 10
 */
export function secondsToSpin(film: {
  readonly fromMm: number;
  readonly toMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly rpm: number;
}): number {
  const turn = (2 * Math.PI * film.rpm) / 60;
  const perS = (4 * film.densityKgM3 * turn ** 2 * (film.fromMm / 1000) ** 2) / (3 * film.viscosityPaS);
  return Math.max(0, ((film.fromMm / film.toMm) ** 2 - 1) / perS);
}

/**
 * The thickest middle of a plan's flowers, before and after the spin: it counts more than the average, as it dries last and
 * cracks first. `null` without a flower.
 *
 * Law: what lies evenly over the footprint, by Emslie, Bonner & Peck 1958 through `spin`, with its viscosity by mass.
 *
 * @throws InputError naming the field
 */
export function middleFilm(
  plan: Plan,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[] = [],
): PieceFilm | null {
  const middles = plan.stacks
    .filter((stack) => stack.layers.length > 0)
    .map((stack): PieceFilm => {
      const layers = stackLayers(plan, stack, paints, blowers);
      const volumeMl = layers.reduce((sum, layer) => sum + layer.volumeMl, 0);
      const massG = layers.reduce((sum, layer) => sum + layer.massG, 0);
      const ln = layers.reduce((sum, layer) => sum + layer.massG * Math.log(layer.paint.viscosityPaS), 0);
      const film = {
        laidMm: (4000 * volumeMl) / (Math.PI * stack.footprintMm ** 2),
        viscosityPaS: Math.exp(ln / massG),
        densityKgM3: (1000 * massG) / volumeMl,
      };
      const { spinRpm: rpm, spinSeconds: seconds } = plan.settings;
      return { ...film, afterMm: leftMm({ ...film, thicknessMm: film.laidMm }, [{ rpm, seconds }]) };
    });
  return middles.sort((a, b) => b.afterMm - a.afterMm)[0] ?? null;
}
